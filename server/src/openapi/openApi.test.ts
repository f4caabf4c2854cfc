import { DOORS } from '@weskopos/contract';
import Ajv from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import { spawnSync } from 'node:child_process';
import { setTimeout } from 'node:timers/promises';
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
