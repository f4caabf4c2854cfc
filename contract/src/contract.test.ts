import { CATALOGUE, MEASURES, POINT_CODES } from '@weskopos/core';
import { findingOf, inspectionOf, CAR, readingOf, treadOf } from '@weskopos/core/src/tests/builders';
import fc from 'fast-check';
import { ENDPOINTS } from './endpoints';
import { findingSchema, storedFindingSchema } from './finding';
import { inspectionSchema, newInspectionSchema } from './inspection';
import { operationBatchSchema, operationSchema } from './operation';
import { newPersonSchema, setupSchema } from './person';
import { fieldErrors } from './problem';
import { vehicleSchema } from './vehicle';

const ID = '00000000-0000-4000-8000-000000000009';
const AT = '2026-06-01T08:00:00.000Z';
const fieldsOf = (schema: typeof findingSchema | typeof operationSchema, value: unknown) => {
  const parsed = schema.safeParse(value);
  return parsed.success ? [] : fieldErrors(parsed.error).map(({ field }) => field);
};

describe('a finding', () => {
  test.each([
    ['tread', findingOf('tyre.tread', '2Lo', { readings: treadOf(5, 5, 5), words: ['cupping'] })],
    ['level', findingOf('cold.oil', '', { readings: [readingOf('level', -0.1)] })],
    [
      'leak',
      findingOf('leak.engine', '', {
        leak: { stage: 'run', fluid: 'fuel', place: 'filter-seat', reaches: 'belt', wiped: true },
      }),
    ],
    ['not reached', findingOf('belt.aux', '', { access: 'not-reached', accessReason: 'seized' })],
  ])('%s passes unchanged', (_, finding) => {
    expect(findingSchema.parse(finding)).toEqual(finding);
    expect(storedFindingSchema.parse({ ...finding, by: 'Isla' })).toEqual({ ...finding, by: 'Isla' });
  });

  test('any value outside a measure’s range is refused at its own field, any inside is taken', () => {
    const measured = CATALOGUE.flatMap(({ code, measure, repeats }) =>
      measure && repeats === null ? [{ code, measure }] : [],
    );
    expect(measured.length).toBeGreaterThan(2);
    fc.assert(
      fc.property(fc.constantFrom(...measured), fc.double({ min: -1e4, max: 1e4, noNaN: true }), (point, value) => {
        const { least, most } = MEASURES[point.measure];
        const fields = fieldsOf(
          findingSchema,
          findingOf(point.code, '', { readings: [readingOf(point.measure, value)] }),
        );
        expect(fields).toEqual(value >= least && value <= most ? [] : ['readings.0.values.0']);
      }),
    );
  });

  test.each([
    ['an empty reading', { readings: [{ ...readingOf('level', 1), values: [] }] }, 'readings.0.values'],
    ['six repeats', { readings: [readingOf('level', [1, 1, 1, 1, 1, 1])] }, 'readings.0.values'],
    ['a place that is none', { place: '9X' }, 'place'],
    ['a photo that is no id', { photos: ['a.jpg'] }, 'photos.0'],
    ['a local time', { at: '2026-06-01 08:00' }, 'at'],
    ['who, which the server stamps', { by: 'Isla' }, 'by'],
  ])('%s is refused', (_, change, field) => {
    expect(fieldsOf(findingSchema, { ...findingOf('cold.oil', ''), ...change })).toContain(field);
  });
});

describe('vehicles, inspections, people', () => {
  test.each([
    ['no axle', { axles: [] }],
    ['five axles', { axles: Array.from({ length: 5 }, () => CAR.axles[0]) }],
    ['a placard of 5 kPa', { axles: [{ ...CAR.axles[0], placardKpa: 5 }, CAR.axles[1]] }],
    ['no fleet code', { fleetCode: '  ' }],
    ['year 20', { year: 20 }],
    ['half a year', { year: 2020.5 }],
    ['a class nobody knows', { class: 'hovercraft' }],
  ])('a vehicle with %s is refused', (_, change) => {
    expect(vehicleSchema.safeParse(CAR).success).toBe(true);
    expect(vehicleSchema.safeParse({ ...CAR, ...change }).success).toBe(false);
  });

  test.each([
    ['behind zero', { meterKm: -1 }],
    ['beyond any meter', { meterKm: 3_000_001 }],
    ['colder than any bay', { ambientC: -61 }],
    ['a state nobody chose', { state: '' }],
  ])('an inspection %s is refused', (_, change) => {
    expect(inspectionSchema.safeParse({ ...inspectionOf(CAR), ...change }).success).toBe(false);
  });

  test('an inspection never begins signed', () => {
    expect(newInspectionSchema.safeParse(inspectionOf(CAR)).success).toBe(true);
    expect(newInspectionSchema.safeParse(inspectionOf(CAR, { signedAt: AT })).success).toBe(false);
    expect(inspectionSchema.safeParse(inspectionOf(CAR, { signedAt: AT })).success).toBe(true);
  });

  test('a secret has six characters, a role is one of ours', () => {
    const isla = { name: 'Isla', secret: '246810', role: 'inspector' };
    expect(newPersonSchema.safeParse(isla).success).toBe(true);
    expect(newPersonSchema.safeParse({ ...isla, secret: '24681' }).success).toBe(false);
    expect(newPersonSchema.safeParse({ ...isla, role: 'owner' }).success).toBe(false);
    expect(setupSchema.safeParse({ code: ' ', name: 'Maren', secret: '112358' }).success).toBe(false);
  });
});

describe('operations', () => {
  const sign = { id: ID, at: AT, device: 'd', kind: 'inspection.sign', body: { inspectionId: ID, signedAt: AT } };

  test('a body belongs to its kind', () => {
    expect(fieldsOf(operationSchema, sign)).toEqual([]);
    expect(fieldsOf(operationSchema, { ...sign, kind: 'finding.put' })).toContain('body.point');
    expect(fieldsOf(operationSchema, { ...sign, kind: 'person.add' })).toEqual(['kind']);
  });

  test('unknown fields are named one by one', () => {
    expect(fieldsOf(operationSchema, { ...sign, hint: 1, by: 'me' }).sort()).toEqual(['by', 'hint']);
  });

  test('a batch holds one to a hundred', () => {
    const batch = (n: number) =>
      operationBatchSchema.safeParse({ operations: Array.from({ length: n }, () => sign) }).success;
    expect([0, 1, 100, 101].map(batch)).toEqual([false, true, true, false]);
  });

  test('whatever is sent, the schema answers and never throws', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.jsonValue(),
          fc.record({ kind: fc.constantFrom('finding.put', 'vehicle.put'), body: fc.jsonValue() }),
        ),
        (value) => {
          expect(operationSchema.safeParse(value).success).toBe(false);
        },
      ),
    );
    expect(POINT_CODES.length).toBeGreaterThan(10);
  });
});

test('endpoints are told apart by method and path, and every change is behind a door or a secret', () => {
  const all = Object.entries(ENDPOINTS);
  expect(all.length).toBeGreaterThan(10);
  expect(new Set(all.map(([, { method, path }]) => `${method} ${path}`)).size).toBe(all.length);
  const open = all.filter(([, { access, method }]) => access === 'anyone' && method !== 'get').map(([name]) => name);
  expect(open.sort()).toEqual(['setup', 'signIn']);
});
