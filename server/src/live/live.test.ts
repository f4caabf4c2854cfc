import { ENDPOINTS, LIVE_PATH } from '@weskopos/contract';
import { randomUUID } from 'node:crypto';
import { newFinding, openVisit, operationOf, startWorkshop, type TestWorkshop } from '../tests/workshop';

let workshop: TestWorkshop;
beforeAll(async () => {
  workshop = await startWorkshop();
  await workshop.client.setUp(workshop.context.setupCode);
});
afterAll(() => workshop.stop());

/** Listens as a browser does and gives what has come so far. */
async function listenTo(visitId: string, device: string) {
  const gone = new AbortController();
  const response = await fetch(`${workshop.client.base}${LIVE_PATH}/${visitId}?device=${device}`, {
    headers: { cookie: workshop.client.cookie },
    signal: gone.signal,
  });
  let heard = '';
  void (async () => {
    const reader = response.body?.getReader();
    for (let part = await reader?.read(); part && !part.done; part = await reader?.read())
      heard += Buffer.from(part.value).toString();
  })().catch(() => undefined);
  const until = async (what: RegExp) => {
    for (let tries = 0; tries < 200; tries += 1) {
      if (what.test(heard)) return;
      await new Promise((resolve) => setTimeout(resolve, 10));
    }
    throw new Error(`not heard ${what}: ${heard}`);
  };
  return { status: response.status, until, leave: () => gone.abort() };
}
const place = (visitId: string, device: string, stop: string) =>
  workshop.client.send('POST', ENDPOINTS.holdPlace.path.replace(':id', visitId), { device, stop });

test('two devices on one visit see each other’s place and changes; one that left is gone', async () => {
  const { inspection } = await openVisit(workshop.client);
  const [bay, helper] = [await listenTo(inspection.id, 'bay'), await listenTo(inspection.id, 'helper')];
  await bay.until(/"device":"helper","name":"Maren","stop":null/);
  expect((await place(inspection.id, 'helper', 'walk')).body).toEqual({ others: 1 });
  await bay.until(/"device":"helper","name":"Maren","stop":"walk"/);
  await workshop.client.operations(operationOf('finding.put', newFinding(inspection.id)));
  await helper.until(/event: changed\ndata: \{"device":"test"\}/);
  await bay.until(/event: changed/);
  helper.leave();
  await bay.until(/event: here\ndata: \[\{"device":"bay","name":"Maren","stop":null\}\]\n\n$/);
  bay.leave();
});

test('who looks at works hears what is said of them: at one vehicle, and at all', async () => {
  const { vehicle } = await openVisit(workshop.client);
  const { vehicle: other } = await openVisit(workshop.client);
  const [here, all, elsewhere] = [
    await listenTo(vehicle.id, 'desk'),
    await listenTo('works', 'yard'),
    await listenTo(other.id, 'bay'),
  ];
  const task = { code: 'own', point: null, name: 'Tow bar wiring', place: '' } as const;
  const stamp = { id: randomUUID(), vehicleId: vehicle.id, at: '2026-06-01T08:00:00.000Z', meter: null };
  const rest = { reasons: [], urgency: 'watch', from: null, to: null, minutes: null, parts: [], note: '' } as const;
  await workshop.client.operations(operationOf('entry.put', { ...stamp, kind: 'work', task, ...rest }));
  await here.until(/event: changed/);
  await all.until(/event: changed/);
  await expect(elsewhere.until(/event: changed/)).rejects.toThrow('not heard');
  for (const one of [here, all, elsewhere]) one.leave();
});

test('a visit that is not there, a listener without a name, and somebody not signed in are refused', async () => {
  const { inspection } = await openVisit(workshop.client);
  const get = (path: string, cookie = workshop.client.cookie) =>
    fetch(`${workshop.client.base}${LIVE_PATH}/${path}`, { headers: { cookie } }).then(({ status }) => status);
  expect(await get(`${randomUUID()}?device=a`)).toBe(404);
  expect(await get(inspection.id)).toBe(400);
  expect(await get(`${inspection.id}?device=a`, '')).toBe(401);
  expect((await place(inspection.id, 'a', '')).status).toBe(400);
});

test('a stop of the server does not wait for those who listen', async () => {
  const other = await startWorkshop();
  await other.client.setUp(other.context.setupCode);
  const { inspection } = await openVisit(other.client);
  const response = await fetch(`${other.client.base}${LIVE_PATH}/${inspection.id}?device=a`, {
    headers: { cookie: other.client.cookie },
  });
  await other.stop();
  await expect(response.text()).resolves.toContain('event: here');
});
