import { DOORS, ENDPOINTS, type EndpointName } from '@weskopos/contract';
import Ajv from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import { execFile, spawnSync } from 'node:child_process';
import fs from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { setTimeout } from 'node:timers/promises';
import { promisify } from 'node:util';
import { EXAMPLES } from './examples';
import { newFinding, openVisit, operationOf, startWorkshop, type TestWorkshop } from '../tests/workshop';

interface Told {
  readonly security?: readonly object[];
  readonly parameters?: readonly { readonly name: string; readonly in: string }[];
  readonly requestBody?: { readonly content: Readonly<Record<string, { readonly schema: object }>> };
  readonly responses: Readonly<
    Record<string, { readonly content?: Readonly<Record<string, { readonly schema: object }>> }>
  >;
}
interface Document {
  readonly paths: Readonly<Record<string, Readonly<Record<string, Told>>>>;
}

let workshop: TestWorkshop;
let document: Document;
beforeAll(async () => {
  workshop = await startWorkshop();
  const { client, context } = workshop;
  await client.setUp(context.setupCode);
  const { inspection } = await openVisit(client);
  await client.operations(
    operationOf('finding.put', newFinding(inspection.id)),
    operationOf('inspection.sign', { inspectionId: inspection.id, signedAt: '2026-06-01T09:00:00.000Z' }),
  );
  document = (await client.get('/api/openapi.json')).body as Document;
});
afterAll(() => workshop.stop());

const ajv = addFormats(new Ajv({ strict: false, allErrors: true }));

/** A validator of others, in a process of its own: it comes as a module that tests cannot load. */
function validated(told: object): { readonly valid: boolean; readonly version?: string } {
  const script = `
    import { Validator } from '@seriousme/openapi-schema-validator';
    import { text } from 'node:stream/consumers';
    const validator = new Validator();
    const { valid } = await validator.validate(JSON.parse(await text(process.stdin)));
    console.log(JSON.stringify({ valid, version: validator.version }));`;
  const { stdout, stderr } = spawnSync('node', ['--input-type=module', '-e', script], {
    cwd: __dirname,
    input: JSON.stringify(told),
    encoding: 'utf8',
  });
  if (stdout === '') throw new Error(stderr);
  return JSON.parse(stdout) as { valid: boolean };
}

test('is OpenAPI 3.1 to a validator of others', () => {
  expect(validated(document)).toEqual({ valid: true, version: '3.1' });
  expect(validated({ ...document, info: {} })).toMatchObject({ valid: false });
});

test('tells every endpoint, who may call it, and what a change must bring', () => {
  for (const { method, path } of Object.values(DOORS)) {
    const told = document.paths[path.replace(/:(\w+)/g, '{$1}')]?.[method];
    expect([path, told?.responses['200']?.content]).toEqual([
      path,
      { 'application/json': { schema: expect.any(Object) } },
    ]);
    const names = told?.parameters?.map(({ name }) => name) ?? [];
    expect([path, names.includes('x-weskopos')]).toEqual([path, method !== 'get']);
    expect(names).toEqual(expect.arrayContaining([...path.matchAll(/:(\w+)/g)].map(([, name]) => name)));
  }
  expect(document.paths['/api/session']?.post?.security).toEqual([]);
});

test.each([
  '/api/session',
  '/api/yard',
  '/api/people',
  '/api/sessions',
  '/api/fleet/board',
  '/api/fleet/knowledge',
  '/api/rulebooks',
  '/api/storage',
  '/api/storage/alarm',
])('what GET %s answers is what it tells', async (path) => {
  const schema = document.paths[path]?.get?.responses['200']?.content?.['application/json']?.schema;
  const check = ajv.compile(schema ?? false);
  const { status, body } = await workshop.client.get(path);
  expect(status).toBe(200);
  check(body);
  expect(check.errors ?? []).toEqual([]);
  expect(check(7)).toBe(false);
});

test('what a change is told to be is what is taken, and nothing else', async () => {
  const schema = document.paths['/api/operations']?.post?.requestBody?.content['application/json']?.schema;
  const check = ajv.compile(schema ?? false);
  // Compiling holds the event loop: a connection that went stale meanwhile is noticed before it is used.
  await setTimeout(50);
  const { inspection } = await openVisit(workshop.client);
  const operation = { ...operationOf('finding.put', newFinding(inspection.id)), v: 5 };
  check({ operations: [operation] });
  expect(check.errors ?? []).toEqual([]);
  for (const wrong of [
    { operations: [] },
    { operations: [{ ...operation, kind: 'finding.take' }] },
    { operations: [{ ...operation, at: 'today' }] },
  ]) {
    expect(check(wrong)).toBe(false);
    expect((await workshop.client.send('POST', '/api/operations', wrong)).status).toBe(400);
  }
});

test('a refusal is what it tells of problems', async () => {
  const { components } = document as unknown as { components: { schemas: { Problem: object } } };
  const check = ajv.compile(components.schemas.Problem);
  const { body } = await workshop.client.send('POST', '/api/session', { name: '' });
  check(body);
  expect(check.errors ?? []).toEqual([]);
  expect(body).toMatchObject({
    code: 'invalid',
    errors: expect.arrayContaining([expect.objectContaining({ field: 'name' })]),
  });
});

test.each(Object.entries(EXAMPLES))('the example of %s is one that is taken, and is told', (name, example) => {
  const endpoint = ENDPOINTS[name as EndpointName];
  expect(endpoint.body.safeParse(example).error?.issues ?? []).toEqual([]);
  const told = document.paths[endpoint.path.replace(/:(\w+)/g, '{$1}')]?.[endpoint.method];
  expect(told?.requestBody?.content['application/json']).toMatchObject({ example });
});

test('the page that shows it is served here, with all it needs', async () => {
  const page = await workshop.client.get('/api/docs');
  expect(String(page.body)).toContain('<div id="api">');
  for (const [, address = ''] of String(page.body).matchAll(/(?:src|href)="([^"]+)"/g)) {
    expect(address).toMatch(/^\/api\/docs\//);
    expect([address, (await workshop.client.get(address)).status]).toEqual([address, 200]);
  }
  expect((await workshop.client.get('/api/docs/package.json')).status).toBe(404);
});

/** Examples of the documentation, as a shell runs them one after the other. */
test('the examples of docs/api.md run as they stand', async () => {
  const text = await fs.readFile(path.join(__dirname, '..', '..', '..', 'docs', 'api.md'), 'utf8');
  const script = [...text.matchAll(/```sh\n([\s\S]*?)```/g)].map(([, lines = '']) => lines).join('\n');
  expect(script.match(/curl/g)?.length).toBeGreaterThan(5);
  const { client } = workshop;
  const { token } = (await client.send('POST', '/api/tokens', { name: 'Docs', scope: 'write' })).body as {
    token: string;
  };
  const folder = await fs.mkdtemp(path.join(os.tmpdir(), 'weskopos-test-'));
  const run = promisify(execFile)('bash', ['-euo', 'pipefail', '-c', script], {
    cwd: folder,
    env: { ...process.env, SERVER: client.base, TOKEN: token },
  });
  const { stdout } = await run.catch((error: NodeJS.ErrnoException) => {
    // A machine without curl has no shell to try it in.
    if (error.code === 'ENOENT' || String(error.message).includes('curl: command not found')) return { stdout: null };
    throw error;
  });
  if (stdout === null) return;
  expect(stdout).toContain('"fleetCode"');
  expect(stdout).toContain('"status":"applied"');
  const made = await fs.readdir(folder);
  expect(made).toEqual(expect.arrayContaining(['readings.csv', 'workshop.zip', 'old-book.csv']));
  await fs.rm(folder, { recursive: true });
});
