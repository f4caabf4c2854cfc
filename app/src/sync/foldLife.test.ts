/** @jest-environment node */
import { blankVisit } from './blankVisit';
import type { Life, Operation, Visit } from '@weskopos/contract';
import fc from 'fast-check';
import { CAR, findingOf, inspectionOf } from '@weskopos/core/tests/builders';
import { briefOf } from './brief';
import type { DeviceStore } from './deviceStore';
import { readBriefs, readLife, writeLife } from './lifeDocuments';
import { memoryStore } from './memoryStore';
import { foldLife, mergeLife, newestVisits, yardWith } from './foldLife';

const at = '2026-06-01T08:00:00.000Z';
const made = <K extends Operation['kind']>(kind: K, body: Extract<Operation, { kind: K }>['body']) =>
  ({ id: crypto.randomUUID(), at, device: 'test', kind, body }) as Operation;
const inspection = inspectionOf(CAR);
const findings = [
  findingOf('belt.aux', ''),
  findingOf('cold.belts', '', { words: ['noisy'] }),
  findingOf('hose.coolant.top', ''),
];
const story: Operation[] = [
  made('vehicle.put', CAR),
  made('inspection.start', inspection),
  ...findings.map((finding) => made('finding.put', finding)),
  made('inspection.sign', { inspectionId: inspection.id, signedAt: at }),
];
const fold = (operations: Operation[], from?: Life) =>
  operations.reduce<Life | undefined>((life, operation) => foldLife(life, operation, 'Isla'), from);

test('a visit made without any network is whole on the device', () => {
  const life = fold(story);
  expect(life?.vehicle).toEqual(CAR);
  expect(life?.visits).toHaveLength(1);
  expect(life?.visits[0]).toMatchObject({ inspector: 'Isla', signedBy: 'Isla', inspection: { signedAt: at } });
  expect(life?.visits[0]?.findings.map(({ id }) => id)).toEqual(findings.map(({ id }) => id));
});

test('operations laid over a state that holds them already change nothing', () => {
  const life = fold(story);
  fc.assert(fc.property(fc.subarray(story), (again) => expect(fold(again, life)).toEqual(life)));
});

test('operations of other vehicles leave it as it is', () => {
  const life = fold(story);
  const other = inspectionOf(CAR, { id: crypto.randomUUID(), vehicleId: crypto.randomUUID() });
  expect(
    fold([made('inspection.start', other), made('finding.put', findingOf('belt.aux', '', {}, other.id))], life),
  ).toEqual(life);
});

test('an answer from before the last changes takes nothing away', () => {
  const known = fold(story) as Life;
  fc.assert(
    fc.property(fc.integer({ min: 1, max: story.length }), (length) => {
      const old = fold(story.slice(0, length)) as Life;
      const merged = mergeLife(known, old);
      expect(merged.visits[0]?.findings).toHaveLength(findings.length);
      expect(merged.visits[0]?.inspection.signedAt).toBe(at);
    }),
  );
  expect(mergeLife(undefined, known)).toBe(known);
});

test('what another device added is taken in', () => {
  const known = fold(story.slice(0, 3)) as Life;
  expect(mergeLife(known, fold(story) as Life).visits[0]?.findings).toHaveLength(3);
});

test('the yard shows what this device knows better: a vehicle and a visit the server has not heard of', () => {
  const brief = briefOf(fold(story.slice(0, 2)) as Life, []);
  const known = new Map([[CAR.id, brief]]);
  expect(yardWith([], known)).toMatchObject([{ vehicle: { fleetCode: 'T 1' }, last: null, open: { startedAt: at } }]);
  expect(yardWith([{ vehicle: CAR, standing: null, last: null, open: null, version: '' }], known)).toEqual([brief]);
});

describe('a life on the device’s disk', () => {
  const store = memoryStore();
  const written: string[] = [];
  const watched: Pick<DeviceStore, 'writeAll'> = {
    writeAll: (values) => {
      written.push(...[...values].flatMap(([key, value]) => (value === undefined ? [] : [key])));
      return store.writeAll(values);
    },
  };
  const visitOf = (n: number): Visit =>
    blankVisit(inspectionOf(CAR, { id: `00000000-0000-4000-8000-0000000000d${n}` }), 'Isla');
  const two: Life = { vehicle: CAR, visits: [visitOf(1), visitOf(2)], entries: [] };

  test('comes back as it was, and one reading writes one visit', async () => {
    await writeLife(watched, undefined, two, null);
    expect((await readLife(store, CAR.id))?.life).toEqual(two);
    written.length = 0;
    const finding = findingOf('belt.aux', '', {}, two.visits[1]?.inspection.id);
    const changed = foldLife(
      two,
      { id: 'o', at: finding.at, device: 'd', kind: 'finding.put', body: finding },
      'Isla',
    )!;
    await writeLife(watched, two, changed, null);
    expect(written).toEqual([`visit/${two.visits[1]?.inspection.id}`]);
    expect((await readLife(store, CAR.id))?.life).toEqual(changed);
  });

  test('a new visit writes itself and the sheet; a lost page leaves the others', async () => {
    written.length = 0;
    const three = { ...two, visits: [...two.visits, visitOf(3)] };
    await writeLife(watched, two, three, null);
    expect(written).toEqual([`visit/${visitOf(3).inspection.id}`, `life/${CAR.id}`]);
    await store.writeAll(new Map([[`visit/${visitOf(1).inspection.id}`, undefined]]));
    const kept = await readLife(store, CAR.id);
    expect(kept?.life.visits).toHaveLength(2);
    // The next look at the workshop fetches it.
    expect(kept?.whole).toBe(false);
    await store.write(`visit/${visitOf(1).inspection.id}`, visitOf(1));
    expect((await readLife(store, CAR.id))?.whole).toBe(true);
    expect(await readLife(store, 'nobody')).toBeUndefined();
  });

  test('a brief is kept with the life it was made of, and none that was made of an earlier one', async () => {
    const brief = briefOf(two, []);
    await writeLife(store, undefined, two, brief);
    expect(await readBriefs(store)).toEqual(new Map([[CAR.id, brief]]));
    await writeLife(store, two, { ...two, visits: [...two.visits, visitOf(3)] }, null);
    expect(await readBriefs(store)).toEqual(new Map());
  });
});

test('acts are laid over a visit once, and signing over an open end keeps its reason', () => {
  const act = { id: crypto.randomUUID(), inspectionId: inspection.id, at };
  const tray = made('act.put', { ...act, kind: 'open', end: 'tray', place: '', fasteners: 6 });
  const begun = fold([...story.slice(0, -1), tray, tray]);
  expect(begun?.visits[0]?.acts).toEqual([{ ...tray.body, by: 'Isla' }]);
  const sign = (over?: string) =>
    made('inspection.sign', { inspectionId: inspection.id, signedAt: at, ...(over === undefined ? {} : { over }) });
  expect(fold([sign('tray on order')], begun)?.visits[0]?.inspection.signedOver).toBe('tray on order');
  expect(fold([...story.slice(0, -1), sign('nothing is open')])?.visits[0]?.inspection.signedOver).toBeNull();
});

test('a visit signed without network is graded by the chances it was signed with', () => {
  const note = {
    point: 'pad.inner',
    place: '1L',
    measure: 'lining',
    spot: 'whole',
    value: 3.9,
    limit: 1.5,
    chance: 0.4,
    nextVisit: at,
  } as const;
  const sign = made('inspection.sign', { inspectionId: inspection.id, signedAt: at, ahead: [note] });
  expect(fold([...story.slice(0, -1), sign])?.visits[0]?.inspection.ahead).toEqual([note]);
  expect(fold(story)?.visits[0]?.inspection.ahead).toEqual([]);
});

test('what the server sends keeps the acts this device knows and it does not', () => {
  const known = fold([
    ...story.slice(0, -1),
    made('act.put', { id: crypto.randomUUID(), inspectionId: inspection.id, at, kind: 'state', change: 'lift-up' }),
  ]);
  const fetched = fold(story.slice(0, -1));
  if (!known || !fetched) throw new Error('both lives were made');
  expect(mergeLife(known, fetched).visits[0]?.acts).toEqual(known.visits[0]?.acts);
});

describe('what becomes of a visit besides signing', () => {
  const signed = fold(story) as Life;
  const visitIn = (life: Life | undefined) => life?.visits[0];
  const { id: inspectionId } = inspection;
  const later = { ...findingOf('belt.aux', '', { words: ['cracked'] }), parent: findings[0]?.id ?? null };
  const amend = made('amendment.put', { id: 'a', inspectionId, at, why: 'looked again', finding: later });

  test('an amendment adds its entry and waits for what it changes; twice it is there once', () => {
    const life = fold([amend, amend], signed);
    expect(visitIn(life)?.amendments).toMatchObject([
      { findingId: later.id, points: null, why: 'looked again', by: 'Isla' },
    ]);
    expect(visitIn(life)?.findings.filter(({ id }) => id === later.id)).toHaveLength(1);
    expect(visitIn(life)?.inspection).toEqual(visitIn(signed)?.inspection);
  });

  test('given up it is no visit of the vehicle’s, taken up again it is', () => {
    const voided = fold([made('inspection.void', { inspectionId, at, why: 'wrong vehicle' })], signed);
    expect(visitIn(voided)).toMatchObject({
      voidedBy: 'Isla',
      inspection: { voidedAt: at, voidedWhy: 'wrong vehicle' },
    });
    expect(newestVisits(voided as Life)).toEqual({ signed: undefined, open: undefined });
    const again = fold([made('inspection.restore', { inspectionId, at })], voided);
    expect(again).toEqual(signed);
  });

  test('an arrival that is corrected keeps what was found', () => {
    const open = fold(story.slice(0, 4)) as Life;
    const { meterAnswer, complaint, stoodH, fuel, ambientC, load, template } = inspection;
    const said = { meterAnswer, complaint, stoodH, fuel, ambientC, load, template, corners: [], focus: null };
    const arrival = { ...said, meter: 61_000, state: 'hot' as const };
    const life = fold([made('inspection.correct', { inspectionId, at, arrival })], open);
    expect(visitIn(life)?.inspection).toMatchObject({ meter: 61_000, state: 'hot', startedAt: inspection.startedAt });
    expect(visitIn(life)?.findings).toEqual(visitIn(open)?.findings);
  });

  test('the workshop’s answer brings what it was signed with, and a stale one takes neither that nor the amendment', () => {
    const known = fold([amend], signed) as Life;
    const sheet = { vehicle: CAR, points: [] } as never;
    const told = { ...known, visits: known.visits.map((visit) => ({ ...visit, sheet })) };
    expect(visitIn(mergeLife(known, told))?.sheet).toBe(sheet);
    const merged = visitIn(mergeLife(told, fold(story.slice(0, 3)) as Life));
    expect(merged).toMatchObject({ sheet, signedBy: 'Isla', amendments: [{ id: 'a' }] });
  });
});
