/** @jest-environment node */
import 'fake-indexeddb/auto';
import type { Operation, OperationOutcome, Problem } from '@weskopos/contract';
import { openDeviceStore, type DeviceStore } from './deviceStore';
import { createSync, type SyncState } from './syncEngine';
import { ServerFailed, ServerProblem, Unreachable } from './transport';

const operation = (n: number): Operation => ({
  id: `00000000-0000-4000-8000-${n.toString().padStart(12, '0')}`,
  at: '2026-06-01T08:00:00.000Z',
  device: 'test',
  kind: 'inspection.sign',
  body: { inspectionId: '00000000-0000-4000-8000-0000000000aa', signedAt: '2026-06-01T08:00:00.000Z' },
});
const ISLA = 'isla';
const IDLE = { waiting: 0, ofOthers: 0, held: 0, refused: 0, refusedPhotos: 0, link: 'idle' } as const;
const problem = (status: number): Problem => ({ type: 't', title: 't', status, code: 'c' });

/** A server that remembers ids, behind a line that drops what the script says. */
function workshop(line: (trip: number) => 'ok' | 'lost-before' | 'lost-after' = () => 'ok') {
  const applied: string[] = [];
  let trip = 0;
  const send = (operations: Operation[]): Promise<OperationOutcome[]> => {
    trip += 1;
    const fate = line(trip);
    if (fate === 'lost-before') return Promise.reject(new Unreachable());
    const outcomes = operations.map(({ id }): OperationOutcome => {
      const repeated = applied.includes(id);
      if (!repeated) applied.push(id);
      return { id, status: repeated ? 'repeated' : 'applied', refusal: null };
    });
    return fate === 'lost-after' ? Promise.reject(new Unreachable()) : Promise.resolve(outcomes);
  };
  return { applied, send };
}

let name = 0;
async function device(
  send: (operations: Operation[]) => Promise<OperationOutcome[]>,
  sendPhoto = (): Promise<void> => Promise.resolve(),
  store?: DeviceStore,
  person = ISLA,
) {
  const kept = store ?? (await openDeviceStore({ name: `test-${(name += 1)}` }));
  const states: SyncState[] = [];
  const taken: string[] = [];
  const waits: number[] = [];
  let retry: (() => void) | null = null;
  const sync = createSync({
    store: kept,
    person: () => person,
    knows: () => false,
    send,
    sendPhoto,
    later: (work, ms) => {
      waits.push(ms);
      retry = work;
      return () => (retry = null);
    },
    onState: (state) => states.push(state),
    onTaken: ({ id }) => Promise.resolve(void taken.push(id)),
    onRefused: () => undefined,
  });
  return { store: kept, sync, states, taken, waits, retryNow: () => retry?.() };
}

const settled = async (one: Awaited<ReturnType<typeof device>>) => {
  await one.sync.kick();
  return one.states.at(-1);
};

test('a change is on the device before anything is sent', async () => {
  const order: string[] = [];
  const one = await device((operations) => {
    order.push('sent');
    return Promise.resolve(operations.map(({ id }) => ({ id, status: 'applied', refusal: null })));
  });
  await one.sync
    .record(operation(1), ISLA)
    .then(async () => order.push(`on disk: ${(await one.store.queue()).length}`));
  await settled(one);
  expect(order[0]).toBe('on disk: 1');
  expect(await one.store.queue()).toEqual([]);
});

test('changes go in the order they were made and leave the queue when acknowledged', async () => {
  const { send, applied } = workshop();
  const one = await device(send);
  const ids = Array.from({ length: 120 }, (_, n) => operation(n + 1));
  for (const each of ids) await one.store.enqueue({ operation: each, by: ISLA });
  expect(await settled(one)).toEqual({ ...IDLE });
  expect(applied).toEqual(ids.map(({ id }) => id));
  expect(one.taken).toEqual(applied);
});

test.each([
  ['the request is lost', 'lost-before'],
  ['the answer is lost: sent twice, applied once', 'lost-after'],
] as const)('%s', async (_, fate) => {
  const { send, applied } = workshop((trip) => (trip === 1 ? fate : 'ok'));
  const one = await device(send);
  await one.sync.record(operation(1), ISLA);
  expect(await settled(one)).toMatchObject({ waiting: 1, link: 'unreachable' });
  one.retryNow();
  expect(await settled(one)).toMatchObject({ waiting: 0, link: 'idle' });
  expect(applied).toEqual([operation(1).id]);
  expect(one.taken).toEqual([operation(1).id]);
});

test('pauses grow while the server is away, up to half a minute', async () => {
  const one = await device(() => Promise.reject(new Unreachable()));
  await one.store.enqueue({ operation: operation(1), by: ISLA });
  for (let n = 0; n < 8; n += 1) await one.sync.kick();
  expect(one.waits.slice(0, 3)).toEqual([1000, 2000, 4000]);
  expect(one.waits.at(-1)).toBe(30_000);
});

test('a closed tab loses nothing: another one on the same device sends what waits', async () => {
  const down = await device(() => Promise.reject(new Unreachable()));
  await down.sync.record(operation(1), ISLA);
  await down.sync.record(operation(2), ISLA);
  const { send, applied } = workshop();
  const reopened = await device(send, undefined, down.store);
  await settled(reopened);
  expect(applied).toEqual([operation(1).id, operation(2).id]);
});

test('a session that ended keeps the queue and says so, without knocking on', async () => {
  const one = await device(() => Promise.reject(new ServerProblem(problem(401))));
  await one.store.enqueue({ operation: operation(1), by: ISLA });
  expect(await settled(one)).toMatchObject({ waiting: 1, link: 'signed-out' });
  expect(one.waits).toEqual([]);
});

test('one unreadable change does not stop the others; it is put aside, not dropped', async () => {
  const { send, applied } = workshop();
  const bad = operation(2).id;
  const one = await device((operations) =>
    operations.some(({ id }) => id === bad) ? Promise.reject(new ServerProblem(problem(400))) : send(operations),
  );
  for (const n of [1, 2, 3]) await one.store.enqueue({ operation: operation(n), by: ISLA });
  expect(await settled(one)).toEqual({ ...IDLE, refused: 1 });
  expect(applied).toEqual([operation(1).id, operation(3).id]);
  expect(await one.store.refused()).toMatchObject([{ operation: { id: bad }, refusal: 'invalid' }]);
});

test('what the workshop refused is kept with why', async () => {
  const one = await device((operations) =>
    Promise.resolve(operations.map(({ id }) => ({ id, status: 'refused', refusal: 'already-signed' }))),
  );
  await one.store.enqueue({ operation: operation(1), by: ISLA });
  expect(await settled(one)).toEqual({ ...IDLE, refused: 1 });
  expect(one.taken).toEqual([]);
  await one.store.forgetRefused(operation(1).id);
  expect(await one.store.refused()).toEqual([]);
});

test('an answer that acknowledges nothing is no reason to ask forever', async () => {
  const one = await device(() => Promise.resolve([]));
  await one.store.enqueue({ operation: operation(1), by: ISLA });
  expect(await settled(one)).toMatchObject({ waiting: 1, link: 'unreachable' });
});

test('photos follow the changes; one that is no picture stays on the device with why, and is not sent again', async () => {
  const sent: string[] = [];
  const one = await device(workshop().send, ((id: string) => {
    sent.push(id);
    return id === 'bad'
      ? Promise.reject(new ServerProblem({ ...problem(415), code: 'not-a-picture' }))
      : Promise.resolve();
  }) as () => Promise<void>);
  await one.sync.recordPhoto('bad', new Blob(['x']), ISLA);
  await one.sync.recordPhoto('good', new Blob(['y']), ISLA);
  expect(await settled(one)).toEqual({ ...IDLE, refusedPhotos: 1 });
  await one.sync.kick();
  expect(sent.sort()).toEqual(['bad', 'good']);
  expect(await one.store.photo('good')).toBeUndefined();
  expect(await one.store.photo('bad')).toMatchObject({ state: 'refused', reason: 'not-a-picture' });
});

test('a change made while sending is sent too', async () => {
  const { send, applied } = workshop();
  let late: (() => Promise<void>) | null = null;
  const one = await device(async (operations) => {
    const work = late;
    late = null;
    await work?.();
    return send(operations);
  });
  late = () => one.sync.record(operation(2), ISLA);
  await one.sync.record(operation(1), ISLA);
  await settled(one);
  expect(applied).toEqual([operation(1).id, operation(2).id]);
});

test('changes made the moment the last trip ends are sent without waiting for another', async () => {
  const { send, applied } = workshop();
  const one = await device(send);
  for (let n = 1; n <= 20; n += 1) {
    await one.store.enqueue({ operation: operation(n), by: ISLA });
    await one.sync.kick();
    expect(applied).toHaveLength(n);
  }
});

test('what one person made is sent in their session only, never under the name of who signs in next', async () => {
  const hers = await device(() => Promise.reject(new Unreachable()));
  await hers.sync.record(operation(1), ISLA);
  const { send, applied } = workshop();
  const his = await device(send, undefined, hers.store, 'callum');
  await his.sync.record(operation(2), 'callum');
  expect(await settled(his)).toEqual({ ...IDLE, waiting: 1, ofOthers: 1 });
  expect(applied).toEqual([operation(2).id]);
  await settled(await device(send, undefined, hers.store));
  expect(applied).toEqual([operation(2).id, operation(1).id]);
});

test('a photo that could not be sent for now waits, and is no refused one', async () => {
  const one = await device(workshop().send, () => Promise.reject(new Unreachable()));
  await one.sync.recordPhoto('p', new Blob(['x']), ISLA);
  expect(await settled(one)).toEqual({ ...IDLE, waiting: 1, link: 'unreachable' });
  expect(await one.store.photo('p')).toMatchObject({ state: 'waiting', reason: null });
});

test('a change the server fails at holds nobody up, is kept, and is tried again', async () => {
  const { send, applied } = workshop();
  const bad = operation(2).id;
  let failing = true;
  const one = await device((operations) =>
    failing && operations.some(({ id }) => id === bad)
      ? Promise.reject(new ServerFailed(problem(500)))
      : send(operations),
  );
  for (const n of [1, 2, 3]) await one.store.enqueue({ operation: operation(n), by: ISLA });
  expect(await settled(one)).toEqual({ ...IDLE, waiting: 1, link: 'unreachable' });
  expect(applied).toEqual([operation(1).id, operation(3).id]);
  failing = false;
  one.retryNow();
  expect(await settled(one)).toEqual(IDLE);
  expect(applied).toEqual([operation(1).id, operation(3).id, bad]);
});

test.each([
  ['a full disk', new ServerFailed({ ...problem(507), code: 'storage-full' }), 'full'],
  ['a database that is opened anew', new ServerFailed({ ...problem(503), code: 'database-restarting' }), 'unreachable'],
  [
    'a server older than this app',
    new ServerProblem({
      ...problem(400),
      errors: [{ field: 'operations.0.v', code: 'custom', message: 'allowed: 1 to 3' }],
    }),
    'newer',
  ],
])('%s leaves the queue as it is and says so', async (_, error, link) => {
  const one = await device(() => Promise.reject(error));
  await one.store.enqueue({ operation: operation(1), by: ISLA });
  expect(await settled(one)).toEqual({ ...IDLE, waiting: 1, link });
  expect(await one.store.refused()).toEqual([]);
});

test('a refused change is sent again as another, or deleted, never both and never by itself', async () => {
  const one = await device((operations) =>
    Promise.resolve(operations.map(({ id }) => ({ id, status: 'refused', refusal: 'no-parent' }))),
  );
  await one.sync.record(operation(1), ISLA);
  await settled(one);
  const { send, applied } = workshop();
  const again = await device(send, undefined, one.store);
  expect(await settled(again)).toEqual({ ...IDLE, refused: 1 });
  await one.store.tryAgain(operation(1).id, { operation: operation(2), by: ISLA });
  expect(await settled(again)).toEqual(IDLE);
  expect(applied).toEqual([operation(2).id]);
});
