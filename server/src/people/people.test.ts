import { ENDPOINTS } from '@weskopos/contract';
import { Client, startWorkshop, type TestWorkshop } from '../tests/workshop';
import { hashSecret, secretMatches } from './secret';

let workshop: TestWorkshop;
beforeAll(async () => {
  workshop = await startWorkshop({ signInTries: 8 });
});
afterAll(() => workshop.stop());

const fresh = () => new Client(workshop.client.base);

test('an empty workshop lets its first lead in by the printed code, once', async () => {
  const { client, context } = workshop;
  const body = { name: 'Maren', secret: '112358' };
  expect((await client.get('/api/workshop')).body).toEqual({ empty: true });
  expect(await client.send('POST', '/api/setup', { ...body, code: 'AAAA-AAAA' })).toMatchObject({ status: 401 });
  expect(await client.send('POST', '/api/setup', { ...body, code: context.setupCode, secret: '123' })).toMatchObject({
    status: 400,
  });
  expect(await client.send('POST', '/api/setup', { ...body, code: context.setupCode?.toLowerCase() })).toMatchObject({
    status: 200,
    body: { role: 'lead' },
  });
  expect((await client.get('/api/workshop')).body).toEqual({ empty: false });
  expect(await fresh().send('POST', '/api/setup', { ...body, name: 'Other', code: context.setupCode })).toMatchObject({
    status: 409,
  });
});

test('a lead adds an inspector; a name is taken whatever its case; an inspector may not add', async () => {
  const { client } = workshop;
  const isla = { name: 'Isla', secret: '246810', role: 'inspector' };
  expect(await client.send('POST', '/api/people', isla)).toMatchObject({ status: 200, body: { name: 'Isla' } });
  expect(await client.send('POST', '/api/people', { ...isla, name: 'ISLA' })).toMatchObject({
    status: 409,
    body: { code: 'name-taken' },
  });
  const inspector = fresh();
  expect(await inspector.send('POST', '/api/session', { name: 'isla', secret: '246810' })).toMatchObject({
    status: 200,
    body: { role: 'inspector' },
  });
  expect(await inspector.get('/api/session')).toMatchObject({ status: 200, body: { name: 'Isla' } });
  expect(await inspector.send('POST', '/api/people', { ...isla, name: 'Eve' })).toMatchObject({ status: 403 });
  expect(await inspector.get('/api/people')).toMatchObject({ status: 403 });
  expect(await inspector.get('/api/yard')).toMatchObject({ status: 200 });
});

test('the cookie is kept from scripts and other sites', async () => {
  const response = await fresh().send('POST', '/api/session', { name: 'Isla', secret: '246810' });
  expect(response.headers.get('set-cookie')).toMatch(/HttpOnly/);
  expect(response.headers.get('set-cookie')).toMatch(/SameSite=Strict/);
});

test('signing out ends the session everywhere it is held', async () => {
  const client = fresh();
  await client.send('POST', '/api/session', { name: 'Isla', secret: '246810' });
  const copied = client.cookie;
  expect(await client.get('/api/session')).toMatchObject({ status: 200 });
  expect(await client.send('DELETE', '/api/session')).toMatchObject({ status: 200 });
  client.cookie = copied;
  expect(await client.get('/api/session')).toMatchObject({ status: 401 });
});

describe('nobody comes in without a session', () => {
  const closed = Object.values(ENDPOINTS).filter(({ access }) => access !== 'anyone');
  test('there are such doors', () => expect(closed.length).toBeGreaterThan(5));
  test.each(closed.map(({ method, path }) => [method, path]))('%s %s', async (method, path) => {
    const url = path.replace(':id', '00000000-0000-4000-8000-000000000001');
    const stranger = fresh();
    stranger.cookie = 'weskopos_session=made-up';
    expect(await stranger.send(method.toUpperCase(), url, method === 'post' ? {} : undefined)).toMatchObject({
      status: 401,
      body: { code: 'not-signed-in' },
    });
  });
  test('photos', async () => {
    expect(
      await fresh().send('POST', '/api/photos/00000000-0000-4000-8000-000000000001', Buffer.from('x')),
    ).toMatchObject({ status: 401 });
  });
});

test('a change from another site is refused, even with the cookie', async () => {
  const { client } = workshop;
  const bare = await fetch(`${client.base}/api/operations`, {
    method: 'POST',
    headers: { cookie: client.cookie, 'content-type': 'application/json' },
    body: '{}',
  });
  expect(bare.status).toBe(403);
  expect(await client.send('POST', '/api/operations', {}, { origin: 'http://elsewhere.example' })).toMatchObject({
    status: 403,
  });
  expect(await client.send('POST', '/api/operations', {}, { origin: client.base })).toMatchObject({ status: 400 });
});

test('wrong secrets and unknown names look the same, and the door closes after too many', async () => {
  const wrong = await fresh().send('POST', '/api/session', { name: 'Isla', secret: 'wrong-one' });
  const unknown = await fresh().send('POST', '/api/session', { name: 'Nobody', secret: 'wrong-one' });
  expect([wrong.status, wrong.body]).toEqual([unknown.status, unknown.body]);
  const statuses: number[] = [];
  for (let n = 0; n < 10; n += 1)
    statuses.push((await fresh().send('POST', '/api/session', { name: 'Isla', secret: `no-${n}` })).status);
  expect(statuses.at(-1)).toBe(429);
});

test('a secret is kept as a salted hash', async () => {
  const [one, two] = await Promise.all([hashSecret('246810'), hashSecret('246810')]);
  expect(one).not.toBe(two);
  expect(one).not.toContain('246810');
  expect(await secretMatches('246810', one)).toBe(true);
  expect(await secretMatches('246811', one)).toBe(false);
});
