import type { AuditAnswer, Token } from '@weskopos/contract';
import Papa from 'papaparse';
import {
  blankDatabase,
  Client,
  inspectorIn,
  newVehicle,
  operationOf,
  startWorkshop,
  type TestWorkshop,
} from '../tests/workshop';
import { mayMachine } from './tokens';

let workshop: TestWorkshop;
let client: Client;
async function begin() {
  workshop = await startWorkshop();
  ({ client } = workshop);
  await client.setUp(workshop.context.setupCode);
}
afterAll(() => workshop.stop());

const give = async (scope: string, name = 'Office') =>
  (await client.send('POST', '/api/tokens', { name, scope })).body as Token & { token: string };
/** As a program asks: by its token, without a cookie and without our header. */
async function asked(token: string, method: string, path: string, body?: unknown) {
  const response = await fetch(client.base + path, {
    method,
    headers: {
      authorization: `Bearer ${token}`,
      ...(body === undefined ? {} : { 'content-type': 'application/json' }),
    },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  return { status: response.status, body: (await response.json().catch(() => null)) as Record<string, unknown> };
}
const operations = () => ({ operations: [operationOf('vehicle.put', newVehicle({ fleetCode: 'FH 31' }))] });

describe('a token', () => {
  beforeAll(begin);

  test('a program reads by its token, and changes nothing by one to read', async () => {
    const { token } = await give('read');
    expect(await asked(token, 'GET', '/api/yard')).toMatchObject({ status: 200, body: [] });
    expect((await asked(token, 'GET', '/api/tables/readings')).status).toBe(200);
    expect(await asked(token, 'POST', '/api/operations', operations())).toMatchObject({
      status: 403,
      body: { detail: 'token' },
    });
    const writes = await give('write', 'Scanner');
    expect((await asked(writes.token, 'POST', '/api/operations', operations())).status).toBe(200);
    expect((await asked(token, 'GET', '/api/yard')).body).toHaveLength(1);
  });

  test.each([
    ['GET', '/api/people'],
    ['POST', '/api/people'],
    ['GET', '/api/tokens'],
    ['POST', '/api/tokens'],
    ['POST', '/api/audit'],
    ['GET', '/api/audit.csv'],
    ['GET', '/api/session'],
    ['GET', '/api/storage'],
    ['GET', '/API/People'],
    ['POST', '/api/Tokens/'],
    ['POST', '/api/storage/backups'],
  ])('no token opens %s %s', async (method, path) => {
    expect(mayMachine('write', method, path)).toBe(false);
    const { token } = await give('write');
    expect((await asked(token, method, path, method === 'POST' ? {} : undefined)).status).toBe(403);
  });

  test('it is told once, kept as a hash, and ends when a lead says so, or goes', async () => {
    const { token, id } = await give('read');
    expect((await client.get('/api/tokens')).body).toContainEqual({
      id,
      name: 'Office',
      scope: 'read',
      givenBy: 'Maren',
      givenAt: expect.any(String),
    });
    const [row] = await workshop.context.engine.query<{ token_hash: string }>(
      'select token_hash from machine_token where id = $1',
      [id],
    );
    expect(token).not.toContain(row?.token_hash ?? 'x');
    for (const wrong of ['', 'weskopos_', `${token}x`, token.slice(9), 'weskopos_guess'])
      expect((await asked(wrong, 'GET', '/api/yard')).status).toBe(401);
    expect((await client.send('DELETE', `/api/tokens/${id}`)).status).toBe(200);
    expect((await client.send('DELETE', `/api/tokens/${id}`)).status).toBe(404);
    expect((await asked(token, 'GET', '/api/yard')).status).toBe(401);
    expect(((await client.get('/api/tokens')).body as Token[]).map((one) => one.id)).not.toContain(id);
  });

  test('a token of a lead who is one no more lets nobody in', async () => {
    await client.send('POST', '/api/people', { name: 'Greta', secret: '135797', role: 'lead' });
    const greta = new Client(client.base);
    const { id } = (await greta.send('POST', '/api/session', { name: 'Greta', secret: '135797' })).body as {
      id: string;
    };
    const { token } = (await greta.send('POST', '/api/tokens', { name: 'Hers', scope: 'read' })).body as {
      token: string;
    };
    expect((await asked(token, 'GET', '/api/yard')).status).toBe(200);
    await client.send('POST', `/api/people/${id}`, { role: 'inspector' });
    expect((await asked(token, 'GET', '/api/yard')).status).toBe(401);
  });

  test('tokens and the list come back with the journal', async () => {
    const { token } = await give('read');
    const before = (await client.send('POST', '/api/audit', { kind: null, personId: null, before: null }))
      .body as AuditAnswer;
    await workshop.pause();
    await blankDatabase(workshop.folder);
    workshop = await startWorkshop({ dataFolder: workshop.folder });
    client = workshop.client;
    await client.send('POST', '/api/session', { name: 'Maren', secret: '112358' });
    expect((await asked(token, 'GET', '/api/yard')).status).toBe(200);
    const after = (await client.send('POST', '/api/audit', { kind: null, personId: null, before: null }))
      .body as AuditAnswer;
    expect(after.lines.slice(1)).toEqual(before.lines);
  });
});

describe('the audit list', () => {
  beforeAll(async () => {
    await workshop.stop();
    await begin();
  });
  const search = async (change: object = {}) =>
    (await client.send('POST', '/api/audit', { kind: null, personId: null, before: null, ...change }))
      .body as AuditAnswer;

  test('tells who did what when, of what only some may do and of what leaves no record', async () => {
    const isla = await inspectorIn(workshop);
    await new Client(client.base).send('POST', '/api/session', { name: 'Isla', secret: 'guessed' });
    await give('write');
    await client.get('/api/tables/vehicles');
    await client.get('/api/bundle');
    await isla.send('DELETE', '/api/session');
    const { lines, more } = await search();
    expect(more).toBe(false);
    expect(lines.map(({ kind, by, about }) => [kind, by, about])).toEqual([
      ['sign-out', 'Isla', ''],
      ['export', 'Maren', 'bundle workshop'],
      ['export', 'Maren', 'table vehicles'],
      ['token.give', 'Maren', 'Office, write'],
      ['sign-in-failed', null, 'Isla'],
      ['sign-in', 'Isla', expect.any(String)],
      ['person.add', 'Maren', 'Isla: inspector'],
      ['person.add', null, 'Maren: lead'],
    ]);
    expect((await search({ kind: 'export' })).lines).toHaveLength(2);
    const { id } = (await client.get('/api/session')).body as { id: string };
    expect((await search({ personId: id })).lines.every(({ by }) => by === 'Maren')).toBe(true);
    expect((await search({ before: lines[2]?.at })).lines[0]?.kind).toBe('token.give');
    const csv = Papa.parse<string[]>(String((await client.get('/api/audit.csv')).body), { skipEmptyLines: true }).data;
    expect(csv.map(([, kind]) => kind)).toEqual(['kind', 'export', ...lines.map(({ kind }) => kind)]);
  });

  test('is for leads, and only ever grows', async () => {
    const isla = new Client(client.base);
    await isla.send('POST', '/api/session', { name: 'Isla', secret: '246810' });
    expect((await isla.send('POST', '/api/audit', { kind: null, personId: null, before: null })).status).toBe(403);
    expect((await isla.get('/api/audit.csv')).status).toBe(403);
    expect((await client.send('DELETE', '/api/audit')).status).toBe(404);
    expect((await client.send('POST', '/api/audit', { kind: 'whatever', personId: null, before: null })).status).toBe(
      400,
    );
  });
});
