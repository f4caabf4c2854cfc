import type { Calendar } from '@weskopos/contract';
import ICAL from 'ical.js';
import { randomUUID } from 'node:crypto';
import { inspectorIn, newVehicle, operationOf, startWorkshop, type Client, type TestWorkshop } from '../tests/workshop';

let workshop: TestWorkshop;
let maren: Client;
let isla: Client;
const vehicle = newVehicle({
  fleetCode: 'FH, 07; "quarry"',
  spec: {
    ...newVehicle().spec,
    intervals: [{ job: { code: 'brake-fluid', name: '' }, km: null, months: 24, hours: null }],
  },
});
const stamp = (at: string) => ({ id: randomUUID(), vehicleId: vehicle.id, at, meter: null });
const work = (name: string, at: string, minutes: number | null = null) =>
  operationOf('entry.put', {
    ...stamp(at),
    kind: 'work',
    task: { code: 'own', point: null, name, place: '' },
    reasons: [],
    urgency: 'next-visit',
    from: null,
    to: null,
    minutes,
    parts: [],
    note: 'bring\nthe, long key; twice',
  });
const plan = (operation: ReturnType<typeof work>, on: string, at = '2026-06-02T08:00:00.000Z') =>
  operationOf('entry.put', {
    ...stamp(at),
    kind: 'work-step',
    refers: (operation.body as { id: string }).id,
    step: 'planned',
    words: '',
    on,
    keeper: '',
  });
const bar = work('Tow bar wiring', '2026-06-01T08:00:00.000Z', 90);
const belt = work('Seat belt', '2026-06-01T08:01:00.000Z');

beforeAll(async () => {
  workshop = await startWorkshop();
  maren = workshop.client;
  await maren.setUp(workshop.context.setupCode);
  isla = await inspectorIn(workshop);
  const done = { ...stamp('2025-03-01T08:00:00.000Z'), kind: 'job', job: { code: 'brake-fluid', name: '' } } as const;
  await maren.operations(
    operationOf('vehicle.put', vehicle),
    bar,
    belt,
    operationOf('entry.put', { ...done, place: '', litres: null, numbers: '', paper: '' } as never),
    plan(bar, '2026-07-01'),
  );
  await isla.operations(plan(belt, '2026-07-01'));
});
afterAll(() => workshop.stop());

const give = async (client: Client, body: { of: string; vehicleId: string | null }) => {
  const answer = await client.send('POST', '/api/calendars', body);
  return { status: answer.status, body: answer.body as Calendar & { token: string } };
};
/** As a calendar program asks: no cookie, no header of ours. */
const read = async (token: string) => {
  const response = await fetch(`${maren.base}/calendar/${token}.ics`);
  return { status: response.status, type: response.headers.get('content-type'), text: await response.text() };
};
const eventsOf = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as unknown[])
    .getAllSubcomponents('vevent')
    .map((one) => new ICAL.Event(one))
    .map(({ uid, summary, startDate, description }) => ({
      uid,
      summary,
      on: startDate.toString(),
      allDay: startDate.isDate,
      description,
    }));

test('a vehicle’s calendar tells what is planned and what falls due, each day whole, read back by another parser', async () => {
  const { body } = await give(isla, { of: 'vehicle', vehicleId: vehicle.id });
  const { type, text } = await read(body.token);
  expect(type).toBe('text/calendar; charset=utf-8');
  const events = eventsOf(text);
  expect(events).toHaveLength(2);
  expect(events[0]).toMatchObject({
    summary: `${vehicle.fleetCode}: Tow bar wiring, Seat belt`,
    on: '2026-07-01',
    allDay: true,
    description: expect.stringMatching(/bring\nthe, long key; twice[^]*1 h 30 min/),
  });
  expect(events[1]).toMatchObject({ summary: `${vehicle.fleetCode}: Brake fluid falls due`, on: '2027-03-01' });
  // Read again it is the same events, so that they are moved and not added.
  expect(eventsOf((await read(body.token)).text).map(({ uid }) => uid)).toEqual(events.map(({ uid }) => uid));
  expect(text.split('\r\n').every((line) => Buffer.byteLength(line) <= 75)).toBe(true);
});

test('a person’s own tells what he planned, the workshop’s all of it', async () => {
  const [own, all] = [
    await give(isla, { of: 'person', vehicleId: null }),
    await give(isla, { of: 'workshop', vehicleId: null }),
  ];
  expect(eventsOf((await read(own.body.token)).text).map(({ summary }) => summary)).toEqual([
    `${vehicle.fleetCode}: Seat belt`,
  ]);
  expect(eventsOf((await read(all.body.token)).text)).toHaveLength(1);
  await maren.operations(plan(bar, '2026-07-08', '2026-06-03T08:00:00.000Z'));
  expect(
    eventsOf((await read(all.body.token)).text)
      .map(({ on }) => on)
      .sort(),
  ).toEqual(['2026-07-01', '2026-07-08']);
});

test('an address is told once and kept by its hash alone; ended it opens nothing, and it is on the audit list', async () => {
  const { body } = await give(isla, { of: 'workshop', vehicleId: null });
  const listed = (await maren.get('/api/calendars')).body as Calendar[];
  expect(listed.find(({ id }) => id === body.id)).toMatchObject({ of: 'workshop', givenBy: 'Isla' });
  expect(JSON.stringify(listed)).not.toContain(body.token);
  const [row] = await workshop.context.engine.query('select * from calendar where id = $1::uuid', [body.id]);
  expect(JSON.stringify(row)).not.toContain(body.token);
  expect((await maren.send('DELETE', `/api/calendars/${body.id}`)).status).toBe(200);
  expect((await read(body.token)).status).toBe(404);
  expect((await maren.send('DELETE', `/api/calendars/${body.id}`)).status).toBe(404);
  const audit = await maren.send('POST', '/api/audit', { kind: 'calendar.end', personId: null, before: null });
  expect(audit.body.lines).toMatchObject([{ kind: 'calendar.end', by: 'Maren' }]);
});

test.each([
  ['a vehicle nobody knows', { of: 'vehicle', vehicleId: randomUUID() }, 404],
  ['of a vehicle without one', { of: 'vehicle', vehicleId: null }, 400],
  ['of all with a vehicle', { of: 'workshop', vehicleId: vehicle.id }, 400],
  ['of something else', { of: 'moon', vehicleId: null }, 400],
])('%s is refused', async (_, body, status) => {
  expect((await give(maren, body)).status).toBe(status);
});

test('guessing opens nothing, and ends', async () => {
  const tried = [];
  for (let n = 0; n < 70; n += 1) tried.push((await read(`guess${n}`)).status);
  expect(new Set(tried.slice(0, 40))).toEqual(new Set([404]));
  expect(tried.at(-1)).toBe(429);
});

test('a program’s token makes no addresses', async () => {
  const { body } = await maren.send('POST', '/api/tokens', { name: 'Office', scope: 'write' });
  const answer = await fetch(`${maren.base}/api/calendars`, {
    method: 'POST',
    headers: { authorization: `Bearer ${body.token as string}`, 'content-type': 'application/json' },
    body: JSON.stringify({ of: 'workshop', vehicleId: null }),
  });
  expect(answer.status).toBe(403);
});
