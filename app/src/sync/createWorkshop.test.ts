/** @jest-environment node */
import type { Operation } from '@weskopos/contract';
import type { LifeEntry } from '@weskopos/core';
import { CAR, findingOf, inspectionOf } from '@weskopos/core/tests/builders';
import { createWorkshop, type WorkshopPorts } from './createWorkshop';
import { memoryStore } from './memoryStore';
import { BROWSER, ISLA, server } from './tests/fakeWorld';
import { Unreachable } from './transport';

const asIs = (operation: Operation) => Promise.resolve(operation);
const finding = findingOf('belt.aux', '', {}, inspectionOf(CAR).id);

async function opened(change: Partial<WorkshopPorts> = {}) {
  const workshop = createWorkshop({ ...BROWSER, openStore: () => Promise.resolve(memoryStore()), ...change });
  await workshop.open(asIs);
  return workshop;
}

beforeEach(() => {
  server.up = true;
  server.session = true;
  server.version = '';
});

test('two workshops share nothing', async () => {
  const [one, other] = [await opened(), await opened()];
  server.up = false;
  await one.record({ kind: 'finding.put', body: finding });
  expect(one.useWorkshop.getState().pending).toHaveLength(1);
  expect(other.useWorkshop.getState().pending).toEqual([]);
});

test('a browser that keeps nothing is said, and work goes on in memory', async () => {
  const openStore = () => Promise.reject(new DOMException('no', 'SecurityError'));
  const workshop = await opened({ openStore });
  server.up = false;
  await workshop.record({ kind: 'finding.put', body: finding });
  expect(workshop.useWorkshop.getState()).toMatchObject({ kept: 'denied', person: ISLA, sync: { waiting: 1 } });
});

test('what a newer app keeps is left alone: nothing is opened, and a change is refused aloud', async () => {
  const workshop = await opened({ openStore: () => Promise.reject(new DOMException('newer', 'VersionError')) });
  expect(workshop.useWorkshop.getState()).toMatchObject({ kept: 'newer', status: 'opening' });
  await expect(workshop.record({ kind: 'finding.put', body: finding })).rejects.toThrow('not open');
  expect(workshop.useWorkshop.getState().pending).toEqual([]);
});

test('a change the disk does not take is told until one is kept', async () => {
  const store = memoryStore();
  let full = true;
  const enqueue: typeof store.enqueue = (queued) =>
    full ? Promise.reject(new DOMException('full', 'QuotaExceededError')) : store.enqueue(queued);
  const workshop = await opened({ openStore: () => Promise.resolve({ ...store, enqueue }) });
  await expect(workshop.record({ kind: 'finding.put', body: finding })).rejects.toThrow('full');
  expect(workshop.useWorkshop.getState()).toMatchObject({ storageFailed: true, writing: 0 });
  full = false;
  await workshop.record({ kind: 'finding.put', body: { ...finding, id: BROWSER.newId() } });
  expect(workshop.useWorkshop.getState()).toMatchObject({ storageFailed: false, writing: 0 });
});

test('a life is fetched when it changed, or is not whole on this device, and not otherwise', async () => {
  const store = memoryStore();
  const openStore = () => Promise.resolve(store);
  server.version = 'first';
  server.fetched = 0;
  const workshop = await opened({ openStore });
  expect(server.fetched).toBe(1);
  await workshop.reconnect();
  expect(server.fetched).toBe(1);
  // Another tab, or the same app opened again, reads it from its own disk.
  await opened({ openStore });
  expect(server.fetched).toBe(1);
  server.version = 'second';
  await workshop.reconnect();
  expect(server.fetched).toBe(2);
  // A version nobody knows is never the same.
  server.version = '';
  await workshop.reconnect();
  await workshop.reconnect();
  expect(server.fetched).toBe(4);
});

test('opened again a workshop tells its vehicles without their lives, and reads one when its pages open', async () => {
  const store = memoryStore();
  const openStore = () => Promise.resolve(store);
  await opened({ openStore });
  server.up = false;
  const again = await opened({ openStore });
  const state = () => again.useWorkshop.getState();
  expect([Object.keys(state().briefs), Object.keys(state().lives)]).toEqual([[CAR.id], []]);
  again.holdLife(CAR.id);
  await new Promise(setImmediate);
  expect(Object.keys(state().lives)).toEqual([CAR.id]);
});

test('a change at a vehicle whose pages are not open is told of it at once, and kept with it when it is taken', async () => {
  const workshop = await opened();
  const state = () => workshop.useWorkshop.getState();
  server.up = false;
  const body = { id: BROWSER.newId(), vehicleId: CAR.id, at: '2026-06-02T08:00:00.000Z', meter: 61_000, kind: 'meter' };
  await workshop.record({ kind: 'entry.put', body: body as LifeEntry });
  expect((await workshop.lifeOnce(CAR.id))?.entries).toMatchObject([{ id: body.id }]);
  await new Promise(setImmediate);
  expect(Object.keys(state().lives)).toEqual([CAR.id]);
  server.up = true;
  await workshop.reconnect();
  expect(state().pending).toEqual([]);
  expect(state().lives).toEqual({});
  expect(state().briefs[CAR.id]?.meters.last).toEqual({ at: body.at, meter: body.meter });
});

test('what the workshop told last stands when it is not reached, with when and why; what it never told does not', async () => {
  let now = '2026-06-01T09:00:00.000Z';
  const workshop = await opened({ now: () => now });
  const gone = new Unreachable('no network');
  expect(await workshop.askKept('board', () => Promise.resolve([1]))).toEqual({ answer: [1], at: now, problem: null });
  now = '2026-06-02T09:00:00.000Z';
  expect(await workshop.askKept('board', () => Promise.reject(gone))).toEqual({
    answer: [1],
    at: '2026-06-01T09:00:00.000Z',
    problem: gone,
  });
  await expect(workshop.askKept('other', () => Promise.reject(gone))).rejects.toBe(gone);
});

test('a vehicle that is opened before its turn is fetched at once; one the workshop does not know is not here', async () => {
  const store = memoryStore();
  const workshop = await opened({ openStore: () => Promise.resolve(store) });
  const state = () => workshop.useWorkshop.getState();
  const until = async (done: () => boolean) => {
    for (let turn = 0; turn < 50 && !done(); turn += 1) await new Promise(setImmediate);
  };
  // As on a new device: listed in the yard, its life not fetched yet.
  for (const key of ['life/', 'brief/']) await store.writeAll(new Map([[`${key}${CAR.id}`, undefined]]));
  server.fetched = 0;
  workshop.holdLife(CAR.id);
  await until(() => CAR.id in state().lives);
  expect([server.fetched, state().lives[CAR.id]?.vehicle.id]).toEqual([1, CAR.id]);
  workshop.holdLife('nobody');
  await until(() => state().absent.has('nobody'));
  expect([...state().absent]).toEqual(['nobody']);
  expect(server.fetched).toBe(1);
});
