/** @jest-environment node */
import 'fake-indexeddb/auto';
import type { Life, Operation, OperationOutcome, Person, YardEntry } from '@weskopos/contract';
import { CAR, inspectionOf, findingOf, readingOf } from '@weskopos/core/src/tests/builders';
import { putFinding, undoLast } from '../features/walk/findings';
import { foldLife } from './foldLife';
import { openWorkshop, record, reconnect, selectLife, signOut, signedIn, useWorkshop } from './workshop';

const ISLA: Person = { id: '00000000-0000-4000-8000-00000000000b', name: 'Isla', role: 'inspector' };
const inspection = inspectionOf(CAR);
const target = { vehicleId: CAR.id, visitId: inspection.id };
const ref = { point: 'pad.inner', place: '1L' } as const;

/** The workshop's server in memory, behind `fetch`. */
class FakeServer {
  up = true;
  session = false;
  life: Life = { vehicle: CAR, visits: [] };
  readonly seen = new Set<string>();

  answer(method: string, url: string, body: string | undefined): { status: number; json: unknown } {
    const problem = (status: number) => ({ status, json: { type: 't', title: 't', status, code: 'c' } });
    if (url === '/api/workshop') return { status: 200, json: { empty: false } };
    if (url === '/api/session' && method === 'DELETE') {
      this.session = false;
      return { status: 200, json: {} };
    }
    if (!this.session) return problem(401);
    if (url === '/api/session') return { status: 200, json: ISLA };
    if (url === '/api/yard')
      return { status: 200, json: [{ vehicle: CAR, last: null, open: null }] satisfies YardEntry[] };
    if (url.endsWith('/life')) return { status: 200, json: this.life };
    if (url !== '/api/operations') return problem(404);
    const { operations } = JSON.parse(body ?? '') as { operations: Operation[] };
    const outcomes = operations.map((operation): OperationOutcome => {
      const repeated = this.seen.has(operation.id);
      this.seen.add(operation.id);
      this.life = foldLife(this.life, operation, ISLA.name) ?? this.life;
      return { id: operation.id, status: repeated ? 'repeated' : 'applied', refusal: null };
    });
    return { status: 200, json: outcomes };
  }
}

const server = new FakeServer();
beforeAll(async () => {
  Object.assign(globalThis, { window: { addEventListener: () => undefined } });
  jest.spyOn(globalThis, 'fetch').mockImplementation((url, init) => {
    if (!server.up) return Promise.reject(new TypeError('no network'));
    const { status, json } = server.answer(init?.method ?? 'GET', url as string, init?.body as string | undefined);
    return Promise.resolve(new Response(JSON.stringify(json), { status }));
  });
  await openWorkshop();
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
  expect(Object.keys(state().lives)).toEqual([CAR.id]);
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
  expect(undoLast(inspection.id)).toEqual(ref);
  expect(here()?.findings.at(-1)).toMatchObject({ note: '', readings: [readingOf('lining', 6)] });
  expect(undoLast(inspection.id)).toEqual(ref);
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
