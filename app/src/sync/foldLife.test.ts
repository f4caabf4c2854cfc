/** @jest-environment node */
import type { Life, Operation } from '@weskopos/contract';
import fc from 'fast-check';
import { CAR, findingOf, inspectionOf } from '@weskopos/core/src/tests/builders';
import { foldLife, mergeLife, yardWith } from './foldLife';

const at = '2026-06-01T08:00:00.000Z';
const made = <K extends Operation['kind']>(kind: K, body: Extract<Operation, { kind: K }>['body']) =>
  ({ id: crypto.randomUUID(), at, device: 'test', kind, body }) as Operation;
const inspection = inspectionOf(CAR);
const findings = [
  findingOf('belt.aux', ''),
  findingOf('cold.belts', '', { words: ['noisy'] }),
  findingOf('hose.coolant.top', ''),
];
const story: Operation[] = [
  made('vehicle.put', CAR),
  made('inspection.start', inspection),
  ...findings.map((finding) => made('finding.put', finding)),
  made('inspection.sign', { inspectionId: inspection.id, signedAt: at }),
];
const fold = (operations: Operation[], from?: Life) =>
  operations.reduce<Life | undefined>((life, operation) => foldLife(life, operation, 'Isla'), from);

test('a visit made without any network is whole on the device', () => {
  const life = fold(story);
  expect(life?.vehicle).toEqual(CAR);
  expect(life?.visits).toHaveLength(1);
  expect(life?.visits[0]).toMatchObject({ inspector: 'Isla', signedBy: 'Isla', inspection: { signedAt: at } });
  expect(life?.visits[0]?.findings.map(({ id }) => id)).toEqual(findings.map(({ id }) => id));
});

test('operations laid over a state that holds them already change nothing', () => {
  const life = fold(story);
  fc.assert(fc.property(fc.subarray(story), (again) => expect(fold(again, life)).toEqual(life)));
});

test('operations of other vehicles leave it as it is', () => {
  const life = fold(story);
  const other = inspectionOf(CAR, { id: crypto.randomUUID(), vehicleId: crypto.randomUUID() });
  expect(
    fold([made('inspection.start', other), made('finding.put', findingOf('belt.aux', '', {}, other.id))], life),
  ).toEqual(life);
});

test('an answer from before the last changes takes nothing away', () => {
  const known = fold(story) as Life;
  fc.assert(
    fc.property(fc.integer({ min: 1, max: story.length }), (length) => {
      const old = fold(story.slice(0, length)) as Life;
      const merged = mergeLife(known, old);
      expect(merged.visits[0]?.findings).toHaveLength(findings.length);
      expect(merged.visits[0]?.inspection.signedAt).toBe(at);
    }),
  );
  expect(mergeLife(undefined, known)).toBe(known);
});

test('what another device added is taken in', () => {
  const known = fold(story.slice(0, 3)) as Life;
  expect(mergeLife(known, fold(story) as Life).visits[0]?.findings).toHaveLength(3);
});

test('the yard shows what this device knows better: a vehicle and a visit the server has not heard of', () => {
  const summary = (life: Life) => ({
    inspectionId: life.vehicle.id,
    startedAt: at,
    meter: 1,
    signedAt: null,
    grade: null,
    counts: null,
  });
  const open = fold(story.slice(0, 2)) as Life;
  const [entry] = yardWith([], [open], (life) => summary(life));
  expect(entry).toMatchObject({ vehicle: { fleetCode: 'T 1' }, last: null, open: { startedAt: at } });
  expect(yardWith([{ vehicle: CAR, last: null, open: null }], [open], (life) => summary(life))).toHaveLength(1);
});
