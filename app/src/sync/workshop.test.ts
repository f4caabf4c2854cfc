/** @jest-environment node */
import 'fake-indexeddb/auto';
import { upgradeOperation, type Operation } from '@weskopos/contract';
import { CAR, inspectionOf, findingOf, readingOf } from '@weskopos/core/tests/builders';
import { BUILT_IN_RULEBOOK, newestRulebook, rulebookAt, standingEntries, type Rulebook } from '@weskopos/core';
import { openDB } from 'idb';
import { putEntry } from '../visit/putEntry';
import { fitNewPart } from '../features/walk/fitNewPart';
import { putFinding, putFindings, undoLast } from '../visit/findings';
import { followHouse } from '../words/followHouse';
import { amount } from '@weskopos/words/show';
import { liftQueue, openDeviceStore } from './deviceStore';
import { readLife } from './lifeDocuments';
import { ISLA, LEARNED_AT, server } from './tests/fakeWorld';
import {
  holdLife,
  openWorkshop,
  record,
  reconnect,
  refreshLifeQuietly,
  rulesFor,
  selectLife,
  selectRulebooks,
  signOut,
  signedIn,
  useWorkshop,
} from './workshop';

jest.mock('./browser', () => jest.requireActual<object>('./tests/fakeWorld'));

const inspection = inspectionOf(CAR);
const target = { vehicleId: CAR.id, visitId: inspection.id };
const ref = { point: 'pad.inner', place: '1L' } as const;

beforeAll(async () => {
  await openWorkshop((operation) => Promise.resolve(upgradeOperation(operation)));
  followHouse();
});

const state = () => useWorkshop.getState();
const here = () => selectLife(state(), CAR.id)?.visits.at(-1);
const untilSent = async () => {
  await reconnect();
  expect(state().sync).toMatchObject({ waiting: 0, link: 'idle' });
};

test('without a session the way in is shown; signing in fetches every vehicle ahead', async () => {
  expect(state().status).toBe('signed-out');
  server.session = true;
  await signedIn(ISLA);
  expect(state()).toMatchObject({ status: 'ready', person: ISLA });
  expect(Object.keys(state().briefs)).toEqual([CAR.id]);
  // Its pages are open for the rest.
  holdLife(CAR.id);
  while (!state().lives[CAR.id]) await new Promise(setImmediate);
  expect(state().fleet.learnedAt).toBe(LEARNED_AT);
});

test('with the server down a visit goes on, and is the same on the device as afterwards on the server', async () => {
  server.up = false;
  await record({ kind: 'inspection.start', body: inspection });
  await putFinding(target, ref, () => ({ access: 'seen', readings: [readingOf('lining', 6)] }));
  await putFinding(target, ref, () => ({ note: 'read twice' }));
  expect(here()?.findings.map(({ parent }) => parent === null)).toEqual([true, false]);
  expect(here()?.findings.at(-1)).toMatchObject({ note: 'read twice', readings: [readingOf('lining', 6)] });
  expect(server.life.visits).toEqual([]);
  const before = here();

  server.up = true;
  await untilSent();
  expect(state().pending).toEqual([]);
  expect(here()).toEqual(before);
  expect(server.life.visits[0]?.findings.map(({ id }) => id)).toEqual(before?.findings.map(({ id }) => id));
});

test('undo is an entry of its own that brings back what stood before; the first one goes back to not looked at', async () => {
  expect(undoLast(inspection.id)).toEqual({ status: 'undone', ref });
  expect(here()?.findings.at(-1)).toMatchObject({ note: '', readings: [readingOf('lining', 6)] });
  expect(undoLast(inspection.id)).toEqual({ status: 'undone', ref });
  expect(here()?.findings.at(-1)).toMatchObject({ access: 'open', readings: [] });
  expect(here()?.findings).toHaveLength(4);
  expect(undoLast(inspection.id)).toBeUndefined();
  await untilSent();
});

test('what another device added since comes in with the next look at the server', async () => {
  const hers = { ...findingOf('belt.aux', '', { words: ['noisy'] }, inspection.id), by: 'Callum' };
  server.life = {
    ...server.life,
    visits: server.life.visits.map((visit) => ({ ...visit, findings: [...visit.findings, hers] })),
  };
  await reconnect();
  expect(here()?.findings.at(-1)).toMatchObject({ point: 'belt.aux', by: 'Callum' });
});

test('undo leaves alone what somebody wrote since, and says so', async () => {
  const belt = { point: 'mount.engine', place: '' } as const;
  await putFinding(target, belt, () => ({ access: 'seen', words: ['bush-torn'] }));
  await untilSent();
  const mine = here()?.findings.at(-1);
  const hers = {
    ...findingOf('mount.engine', '', { words: ['bush-loose'] }, inspection.id),
    parent: mine?.id ?? null,
    by: 'Callum',
  };
  server.life = {
    ...server.life,
    visits: server.life.visits.map((visit) => ({ ...visit, findings: [...visit.findings, hers] })),
  };
  await reconnect();
  expect(undoLast(inspection.id)).toEqual({ status: 'overtaken', ref: belt });
  expect(here()?.findings.at(-1)).toMatchObject({ id: hers.id, words: ['bush-loose'] });
});

test('what the server takes while a fetched answer is being kept stays on the screen and on the disk', async () => {
  // Every way the two can fall together, turn by turn.
  for (let turns = 0; turns < 60; turns += 1) {
    const sent = putFinding(target, ref, () => ({ access: 'seen', note: `turn ${turns}` }));
    for (let turn = 0; turn < turns; turn += 1) await new Promise(setImmediate);
    await Promise.all([sent, refreshLifeQuietly(CAR.id)]);
    while (state().pending.length > 0 || state().sync.link !== 'idle') await new Promise(setImmediate);
    expect(here()?.findings).toHaveLength(server.life.visits[0]?.findings.length ?? NaN);
  }
  const kept = await readLife(await openDeviceStore(), CAR.id);
  expect(kept?.life.visits.at(-1)?.findings).toEqual(here()?.findings);
});

test('a session that ended elsewhere keeps the queue and asks to sign in; then it is sent once', async () => {
  server.session = false;
  await record({ kind: 'finding.put', body: findingOf('cold.belts', '', {}, inspection.id) });
  await reconnect();
  expect(state()).toMatchObject({ status: 'signed-out', person: null });
  expect(state().pending).toHaveLength(1);
  const count = server.seen.size;
  server.session = true;
  await signedIn(ISLA);
  await untilSent();
  expect(server.seen.size).toBe(count + 1);
});

test('signing out without the server is refused, not half done', async () => {
  server.up = false;
  await expect(signOut()).rejects.toThrow();
  expect(state().status).toBe('ready');
  server.up = true;
  await signOut();
  expect(state()).toMatchObject({ status: 'signed-out', person: null });
});

describe('the rules on the device', () => {
  beforeAll(async () => {
    server.session = true;
    await signedIn(ISLA);
  });

  const psi: Rulebook = {
    ...BUILT_IN_RULEBOOK,
    version: 1,
    house: { ...BUILT_IN_RULEBOOK.house, units: { ...BUILT_IN_RULEBOOK.house.units, pressure: 'psi' } },
  };

  test('a new version counts at once, offline too, and speaks in its units; old visits keep theirs', async () => {
    server.up = false;
    expect(amount('pressure', 241.3165)).toBe('241 kPa');
    await record({ kind: 'rulebook.put', body: psi });
    expect(newestRulebook(selectRulebooks(state())).version).toBe(1);
    expect(amount('pressure', 241.3165)).toBe('35.0 psi');
    expect(rulesFor(selectRulebooks(state()), { rulebook: 0, template: 'full' }).version).toBe(0);
    server.up = true;
    await untilSent();
    expect(rulebookAt(state().rulebooks, 1)).toEqual(psi);
    expect(server.rulebooks).toEqual([psi]);
  });
});

test('several points said in one act are undone in one', async () => {
  const life = () => selectLife(state(), CAR.id)?.visits.at(-1)?.findings ?? [];
  const before = life().length;
  const refs = [
    { point: 'belt.tension', place: '' },
    { point: 'hose.heater', place: '' },
  ] as const;
  await putFindings(
    target,
    refs.map((one) => ({ ref: one, change: () => ({ access: 'seen', inOneStroke: true }) })),
  );
  expect(
    life()
      .slice(before)
      .map(({ access, inOneStroke }) => [access, inOneStroke]),
  ).toEqual([
    ['seen', true],
    ['seen', true],
  ]);
  expect(undoLast(inspection.id)).toEqual({ status: 'undone', ref: refs[0] });
  expect(
    life()
      .slice(-2)
      .map(({ access }) => access),
  ).toEqual(['open', 'open']);
});

test('a device of the first version keeps who is signed in and its queue, lifted to today’s shapes', async () => {
  const name = 'of the first version';
  const old = await openDB(name, 1, {
    upgrade(fresh) {
      fresh.createObjectStore('queue', { autoIncrement: true }).createIndex('id', 'operation.id', { unique: true });
      for (const store of ['refused', 'photos']) fresh.createObjectStore(store, { keyPath: 'id' });
      fresh.createObjectStore('documents');
    },
  });
  const { leaks: _leaks, counts: _counts, codes: _codes, ...rest } = findingOf('belt.aux', '');
  await old.put('documents', ISLA, 'person');
  await old.put('documents', [{ old: true }], 'yard');
  await old.add('queue', { by: ISLA.id, operation: { id: 'x', kind: 'finding.put', body: { ...rest, leak: null } } });
  old.close();
  const store = await openDeviceStore({ name });
  await liftQueue(store, (operation) => Promise.resolve(upgradeOperation(operation)));
  expect(await store.read('person')).toEqual(ISLA);
  expect(await store.read('yard')).toBeUndefined();
  const [queued] = await store.queue();
  expect(queued?.operation.body).toMatchObject({ point: 'belt.aux', leaks: [], counts: [], override: null });
});

test('a part said to be new in the walk is said once, and can be taken back', async () => {
  const visit = inspection;
  await fitNewPart(target, { point: 'tyre.tread', place: '1L' });
  await fitNewPart(target, { point: 'tyre.tread', place: '1L' });
  await fitNewPart(target, { point: 'belt.aux', place: '' });
  const entries = () => selectLife(state(), CAR.id)?.entries ?? [];
  expect(entries()).toEqual([
    expect.objectContaining({ kind: 'fit', what: 'tyre', place: '1L', at: visit.startedAt, meter: visit.meter }),
  ]);
  await putEntry({ vehicleId: CAR.id, meter: null }, { kind: 'undo', refers: entries()[0]?.id ?? '' });
  expect(standingEntries(entries())).toEqual([]);
  await untilSent();
  expect(server.life.entries).toHaveLength(2);
});

test('a change of a newer app is left as it was written, and a store of one is not opened at all', async () => {
  const name = 'of a newer app';
  const store = await openDeviceStore({ name });
  const operation = {
    id: 'n',
    at: 'x',
    device: 'd',
    kind: 'finding.put',
    v: 99,
    body: { gauge: 'new' },
  } as unknown as Operation;
  await store.enqueue({ operation, by: ISLA.id });
  await liftQueue(store, () => Promise.reject(new Error('must not be asked')));
  expect(await store.queue()).toEqual([{ operation, by: ISLA.id }]);
  const newer = await openDB('of the next version', 99, { upgrade: () => undefined });
  newer.close();
  await expect(openDeviceStore({ name: 'of the next version' })).rejects.toMatchObject({ name: 'VersionError' });
});
