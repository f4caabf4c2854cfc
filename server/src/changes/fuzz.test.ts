import { BUILT_IN_RULEBOOK, DRY } from '@weskopos/core';
import fc from 'fast-check';
import { randomUUID } from 'node:crypto';
import { newFinding, openVisit, operationOf, startWorkshop, type TestWorkshop } from '../tests/workshop';

let workshop: TestWorkshop;
beforeAll(async () => {
  workshop = await startWorkshop();
  await workshop.client.setUp(workshop.context.setupCode);
});
afterAll(() => workshop.stop());

const ROUNDS = 150;

/** A sound operation with one value anywhere in it replaced by anything. */
function mutated(operation: object): fc.Arbitrary<unknown> {
  const paths: string[][] = [];
  const walk = (value: unknown, path: string[]) => {
    paths.push(path);
    if (value && typeof value === 'object')
      for (const [key, inner] of Object.entries(value)) walk(inner, [...path, key]);
  };
  walk(operation, []);
  return fc
    .tuple(fc.constantFrom(...paths.slice(1)), fc.oneof(fc.jsonValue(), fc.string(), fc.double()))
    .map(([path, value]) => {
      const copy = structuredClone(operation) as Record<string, unknown>;
      const parent = path
        .slice(0, -1)
        .reduce<Record<string, unknown>>((at, key) => at[key] as Record<string, unknown>, copy);
      parent[path.at(-1) ?? ''] = value;
      return { ...copy, id: randomUUID() };
    });
}

test('no change to a sound operation is answered with a 500 or a stack, and what is refused leaves nothing', async () => {
  const { inspection, vehicle } = await openVisit(workshop.client);
  const sound = [
    operationOf(
      'finding.put',
      newFinding(inspection.id, {
        leaks: [{ ...DRY, stage: 'damp', fluid: 'fuel' }],
        photos: [{ id: randomUUID(), caption: 'here', marks: [{ kind: 'ring', x: 0.5, y: 0.5, radius: 0.1 }] }],
        point: 'leak.engine',
        place: '',
        readings: [],
      }),
    ),
    operationOf(
      'finding.put',
      newFinding(inspection.id, { words: ['glazed'], override: { grade: 'advisory', reason: 'seen worse' } }),
    ),
    operationOf(
      'finding.put',
      newFinding(inspection.id, {
        point: 'walk.lamps',
        place: '',
        readings: [],
        counts: [{ item: 'dip', good: 1, of: 2, found: null, out: [] }],
      }),
    ),
    operationOf(
      'finding.put',
      newFinding(inspection.id, {
        point: 'cabin.codes',
        place: '',
        readings: [],
        codes: [{ code: 'C 12', text: '', state: 'stored' }],
      }),
    ),
    operationOf('rulebook.put', { ...BUILT_IN_RULEBOOK, version: 1 }),
    operationOf('inspection.start', { ...inspection, id: randomUUID() }),
    operationOf('vehicle.put', { ...vehicle, use: 'fuzz' }),
  ];
  await fc.assert(
    fc.asyncProperty(fc.oneof(...sound.map(mutated)), async (operation) => {
      const answer = await workshop.client.send('POST', '/api/operations', { operations: [operation] });
      expect([200, 400]).toContain(answer.status);
      expect(JSON.stringify(answer.body)).not.toMatch(/\.ts:|node_modules|syntax error|violates/);
      if (answer.status === 400) expect(answer.body.errors.length).toBeGreaterThan(0);
    }),
    { numRuns: ROUNDS },
  );
  expect((await workshop.client.get('/healthz')).body).toEqual({ status: 'ok' });
});

test('hostile text is text', async () => {
  const { inspection } = await openVisit(workshop.client);
  const note = `'; drop table finding; -- <script>alert(1)</script> \\ " ünï ${'🛞'.repeat(20)}`;
  await workshop.client.operations(operationOf('finding.put', newFinding(inspection.id, { note })));
  const { body } = await workshop.client.get(`/api/inspections/${inspection.id}`);
  expect(body.findings[0].note).toBe(note);
});

test.each([
  ['a NUL', 'a\u0000b', 400],
  ['half a surrogate', 'a\ud800b', 400],
  ['a whole pair', 'a\ud83d\ude97b', 200],
])('%s in a note is never a 500', async (_, note, status) => {
  const { inspection } = await openVisit(workshop.client);
  const operation = operationOf('finding.put', newFinding(inspection.id, { note }));
  expect((await workshop.client.send('POST', '/api/operations', { operations: [operation] })).status).toBe(status);
});
