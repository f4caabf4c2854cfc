import type { PriceList } from '@weskopos/core';
import { blankDatabase, inspectorIn, startWorkshop, type Client, type TestWorkshop } from '../tests/workshop';

let workshop: TestWorkshop;
let maren: Client;
let isla: Client;
beforeAll(async () => {
  workshop = await startWorkshop();
  maren = workshop.client;
  await maren.setUp(workshop.context.setupCode);
  isla = await inspectorIn(workshop);
});
afterAll(() => workshop.stop());

const list = (change: Partial<PriceList> = {}): PriceList => ({
  currency: 'EUR',
  taxPercent: 19,
  hourRate: 80,
  parts: [{ number: 'P-100', name: 'Pad set, front', price: 42.5 }],
  times: [{ code: 'pads', minutes: 90 }],
  ...change,
});

test('a lead says what the workshop asks, everybody reads it; nobody overwrites what he has not seen', async () => {
  expect((await isla.get('/api/prices')).body).toEqual({ version: 0, list: null });
  expect((await isla.send('POST', '/api/prices', { from: 0, list: list() })).status).toBe(403);
  expect((await maren.send('POST', '/api/prices', { from: 0, list: list() })).body).toEqual({
    version: 1,
    list: list(),
  });
  expect((await isla.get('/api/prices')).body).toEqual({ version: 1, list: list() });
  const late = await maren.send('POST', '/api/prices', { from: 0, list: list({ hourRate: 1 }) });
  expect(late).toMatchObject({ status: 409, body: { code: 'prices-changed' } });
  expect((await isla.get('/api/prices')).body).toMatchObject({ version: 1, list: { hourRate: 80 } });
  expect((await maren.send('POST', '/api/prices', { from: 1, list: list({ hourRate: null }) })).status).toBe(200);
  const audit = await maren.send('POST', '/api/audit', { kind: 'prices.put', personId: null, before: null });
  expect(audit.body.lines).toMatchObject([{ about: '2' }, { about: '1' }]);
});

test('it is there after a start, also from the journal alone', async () => {
  const before = (await maren.get('/api/prices')).body;
  await workshop.pause();
  await blankDatabase(workshop.folder);
  workshop = await startWorkshop({ dataFolder: workshop.folder });
  maren = workshop.client;
  await maren.send('POST', '/api/session', { name: 'Maren', secret: '112358' });
  expect((await maren.get('/api/prices')).body).toEqual(before);
});

test.each([
  ['a currency that is none', { currency: 'euro' }, 'list.currency'],
  ['a tax of 60 %', { taxPercent: 60 }, 'list.taxPercent'],
  ['a price below nothing', { parts: [{ number: '', name: 'Pad', price: -1 }] }, 'list.parts.0.price'],
  ['a part without a name', { parts: [{ number: '1', name: ' ', price: 1 }] }, 'list.parts.0.name'],
  ['a time of no work', { times: [{ code: 'rain', minutes: 5 }] }, 'list.times.0.code'],
])('%s is refused by its field', async (_, change, field) => {
  const answer = await maren.send('POST', '/api/prices', { from: 2, list: { ...list(), ...change } });
  expect(answer).toMatchObject({ status: 400, body: { errors: [{ field }] } });
});
