/** @jest-environment node */
import type { Life, Operation } from '@weskopos/contract';
import { BUILT_IN_RULEBOOK } from '@weskopos/core';
import { CAR, findingOf, inspectionOf, readingOf } from '@weskopos/core/tests/builders';
import { blankVisit } from './blankVisit';
import { briefOf } from './brief';
import { readBriefs, readLife, writeLife } from './lifeDocuments';
import { LivesAtHand } from './livesAtHand';
import { memoryStore } from './memoryStore';
import { NOTHING_KNOWN, vehicleOfVisit, type WorkshopState } from './workshopState';

const BARE = findingOf('pad.inner', '1L', { readings: [readingOf('lining', 1)] });
const idOf = (n: number) => `00000000-0000-4000-8000-0000000001${String(n).padStart(2, '0')}`;

/** A vehicle with one visit, signed or half done. */
function lifeOf(n: number, signed = true): Life {
  const vehicle = { ...CAR, id: idOf(n), fleetCode: `T ${n}` };
  const inspection = inspectionOf(vehicle, { id: idOf(n + 50), signedAt: signed ? '2026-06-01T09:00:00.000Z' : null });
  return { vehicle, visits: [{ ...blankVisit(inspection, 'Isla'), findings: [{ ...BARE, by: 'Isla' }] }], entries: [] };
}

async function device(lives: readonly Life[]) {
  const store = memoryStore();
  let state: WorkshopState = NOTHING_KNOWN;
  const torn: string[] = [];
  for (const life of lives) await writeLife(store, undefined, life, null);
  const atHand = new LivesAtHand({
    store: () => store,
    get: () => state,
    set: (change) => (state = { ...state, ...change(state) }),
    onTorn: (id) => torn.push(id),
    onAbsent: () => Promise.resolve(),
  });
  const ids = () => lives.map(({ vehicle }) => vehicle.id);
  return {
    atHand,
    store,
    torn,
    ids,
    get: () => state,
    set: (change: Partial<WorkshopState>) => (state = { ...state, ...change }),
  };
}
const turn = () => new Promise(setImmediate);

test('of many lives a few are in memory: those looked at last, whoever still looks at an older one keeps it', async () => {
  const { atHand, get } = await device(Array.from({ length: 12 }, (_, n) => lifeOf(n)));
  const hold = async (n: number) => {
    const release = atHand.hold(idOf(n));
    await turn();
    return release;
  };
  const first = await hold(0);
  for (let n = 1; n < 12; n += 1) (await hold(n))();
  expect(Object.keys(get().lives)).toEqual([0, 6, 7, 8, 9, 10, 11].map(idOf));
  first();
  first();
  expect(Object.keys(get().lives)).toEqual([6, 7, 8, 9, 10, 11].map(idOf));
  // Each left what is told of it.
  expect(Object.keys(get().briefs)).toEqual([1, 2, 3, 4, 5, 0].map(idOf));
});

test('a vehicle whose life is not on the disk is known to be absent, and is there once it was fetched', async () => {
  const { atHand, get } = await device([]);
  atHand.hold(idOf(1));
  expect(get().absent.has(idOf(1))).toBe(false);
  await turn();
  expect(get().absent.has(idOf(1))).toBe(true);
  await atHand.with(idOf(1), () => atHand.put([lifeOf(1)]));
  expect(get().lives[idOf(1)]).toEqual(lifeOf(1));
  expect(get().absent.has(idOf(1))).toBe(false);
});

test('what nobody looks at is fetched past the memory, onto the disk with its brief', async () => {
  const { atHand, get, store } = await device([]);
  await atHand.with(idOf(1), () => atHand.put([lifeOf(1)]));
  expect(get().lives).toEqual({});
  expect(get().briefs[idOf(1)]).toMatchObject({ standing: { grade: 'fail' }, visits: [idOf(51)] });
  expect((await readBriefs(store)).get(idOf(1))).toEqual(get().briefs[idOf(1)]);
  expect((await readLife(store, idOf(1)))?.life).toEqual(lifeOf(1));
});

test('a change that waits has its life at hand until it is taken, and finds it by its visit', async () => {
  const { atHand, get, set, ids } = await device([lifeOf(1, false), lifeOf(2)]);
  await atHand.remake(ids);
  const body = findingOf('belt.aux', '', {}, idOf(51));
  const operation: Operation = { id: 'o', at: body.at, device: 'd', kind: 'finding.put', v: 1, body };
  expect(vehicleOfVisit(get(), idOf(51))).toBe(idOf(1));
  set({ pending: [operation] });
  await atHand.readWaiting();
  expect(Object.keys(get().lives)).toEqual([idOf(1)]);
  const known = get().lives[idOf(1)];
  const life = { ...lifeOf(1, false), entries: [] };
  await atHand.with(idOf(1), (before) => {
    expect(before).toBe(known);
    return atHand.put([life], () => ({ pending: [] }));
  });
  expect(get().lives).toEqual({});
  expect(get().briefs[idOf(1)]).toEqual(briefOf(life, []));
});

test('briefs that are missing or were made by other rules are made again, of what stands when they are shown', async () => {
  const { atHand, get, set, store, ids } = await device([lifeOf(1, false), lifeOf(2), lifeOf(3)]);
  await atHand.remake(ids);
  expect(Object.keys(get().briefs)).toEqual(ids());
  expect((await readBriefs(store)).size).toBe(3);
  expect(get().lives).toEqual({});
  const before = get().briefs;
  await atHand.remake(ids);
  expect(get().briefs).toBe(before);
  set({ rulebooks: [{ ...BUILT_IN_RULEBOOK, version: 1 }] });
  // Signed while the others are still summed up: nothing older is laid over it.
  const remade = atHand.remake(ids);
  await atHand.with(idOf(1), () => atHand.put([lifeOf(1)]));
  await remade;
  expect(Object.values(get().briefs).map(({ made }) => made.rulebook)).toEqual([1, 1, 1]);
  expect(get().briefs[idOf(1)]?.signatures).toHaveLength(1);
  expect((await readBriefs(store)).get(idOf(1))?.signatures).toHaveLength(1);
});

test('a life that lost a page is told, so that it is fetched again', async () => {
  const { atHand, store, torn } = await device([lifeOf(1)]);
  await store.writeAll(new Map([[`visit/${idOf(51)}`, undefined]]));
  await atHand.with(idOf(1), (life) => expect(life?.visits).toEqual([]));
  expect(torn).toEqual([idOf(1)]);
});
