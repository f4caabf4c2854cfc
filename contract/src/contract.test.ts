import { BUILT_IN_RULEBOOK, CATALOGUE, MEASURES, POINT_CODES, namedSteps } from '@weskopos/core';
import { findingOf, inspectionOf, CAR, leakOf, readingOf, rulesWith, treadOf } from '@weskopos/core/tests/builders';
import fc from 'fast-check';
import { ENDPOINTS } from './endpoints';
import { findingRecord, findingSchema, storedFindingSchema } from './records/finding';
import { inspectionRecord, inspectionSchema, newInspectionSchema } from './records/inspection';
import { operationBatchSchema, operationSchema, upgradeOperation } from './operation';
import { newPersonSchema, setupSchema } from './person';
import { fieldErrors } from './problem';
import { rulebookSchema } from './records/rulebook';
import { lift } from './records/record';
import { vehicleRecord, vehicleSchema } from './records/vehicle';

const liftedFinding = (raw: object) => findingSchema.parse(lift(findingRecord, raw));
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
        leaks: [
          leakOf({
            stage: 'run',
            fluid: 'fuel',
            place: 'filter-seat',
            reaches: 'belt',
            wiped: true,
            dropsPerMinute: 40,
            onlyRunning: true,
          }),
        ],
      }),
    ],
    ['not reached', findingOf('belt.aux', '', { access: 'not-reached', accessReason: 'seized' })],
  ])('%s passes unchanged', (_, finding) => {
    expect(findingSchema.parse(finding)).toEqual(finding);
    expect(storedFindingSchema.parse({ ...finding, by: 'Isla' })).toEqual({ ...finding, by: 'Isla' });
  });

  test('any value outside a measure’s range is refused at its own field, any inside is taken', () => {
    const measured = CATALOGUE.flatMap(({ code, measures, repeats }) =>
      repeats === null
        ? measures
            .filter(({ measure }) => !namedSteps(measure))
            .map(({ measure, spots }) => ({ code, measure, spot: spots[0] }))
        : [],
    );
    expect(measured.length).toBeGreaterThan(2);
    fc.assert(
      fc.property(fc.constantFrom(...measured), fc.double({ min: -1e4, max: 1e4, noNaN: true }), (point, value) => {
        const { least, most } = MEASURES[point.measure];
        const fields = fieldsOf(
          findingSchema,
          findingOf(point.code, '', { readings: [readingOf(point.measure, value, point.spot)] }),
        );
        expect(fields).toEqual(value >= least && value <= most ? [] : ['readings.0.values.0']);
      }),
    );
  });

  test.each([
    ['an empty reading', { readings: [{ ...readingOf('level', 1), values: [] }] }, 'readings.0.values'],
    ['six repeats', { readings: [readingOf('level', [1, 1, 1, 1, 1, 1])] }, 'readings.0.values'],
    ['a place that is none', { place: '9X' }, 'place'],
    ['a photo that is no id', { photos: [{ id: 'a.jpg', caption: '', marks: [] }] }, 'photos.0.id'],
    [
      'a mark beside its photo',
      { photos: [{ id: ID, caption: '', marks: [{ kind: 'ring', x: 1.2, y: 0, radius: 0.1 }] }] },
      'photos.0.marks.0.x',
    ],
    ['a count of none', { counts: [{ item: 'all', good: 0, of: 0, found: null }] }, 'counts.0.of'],
    ['an override without why', { override: { grade: 'pass', reason: '' } }, 'override.reason'],
    ['a local time', { at: '2026-06-01 08:00' }, 'at'],
    ['who, which the server stamps', { by: 'Isla' }, 'by'],
  ])('%s is refused', (_, change, field) => {
    expect(fieldsOf(findingSchema, { ...findingOf('cold.oil', ''), ...change })).toContain(field);
  });
});

describe('vehicles, inspections, people', () => {
  test.each([
    ['no axle', { axles: [] }],
    ['a fluid of no litres', { spec: { ...CAR.spec, fluids: [{ fluid: 'coolant', grade: '', capacityL: 0 }] } }],
    [
      'a torque of nothing',
      { spec: { ...CAR.spec, torques: [{ fastener: 'drain-plug', newtonMetres: 0, socket: '' }] } },
    ],
    ['a rating without its standard', { spec: { ...CAR.spec, battery: { type: 'agm', ratedA: 640, standard: null } } }],
    ['nine studs', { spec: { ...CAR.spec, studs: 9 } }],
    ['a disc minimum of 2 mm', { axles: [{ ...CAR.axles[0], discMinimumMm: 2 }] }],
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
    ['behind zero', { meter: -1 }],
    ['beyond any meter', { meter: 3_000_001 }],
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

describe('what an older app wrote', () => {
  const old = findingOf('leak.engine', '', { access: 'seen' });
  const {
    leaks: _leaks,
    counts: _counts,
    codes: _codes,
    howRead: _howRead,
    standard: _standard,
    override: _override,
    carried: _carried,
    inOneStroke: _stroke,
    ...kept
  } = old;
  const oldLeak = { stage: 'damp', fluid: 'engine-oil', place: 'drain-plug', reaches: 'nothing', wiped: true };

  test('a finding with its one leak, plain photos and readings', () => {
    const lifted = liftedFinding({ ...kept, leak: oldLeak, photos: [ID] });
    expect(lifted).toEqual({
      ...old,
      leaks: [leakOf({ ...oldLeak, place: 'drain-plug', stage: 'damp' } as never)],
      photos: [{ id: ID, caption: '', marks: [] }],
    });
    const { bound: _bound, ...reading } = readingOf('level', 0.5);
    const level = liftedFinding({ ...kept, point: 'cold.oil', leak: null, readings: [reading] });
    expect(level).toMatchObject({ readings: [readingOf('level', 0.5)], leaks: [] });
  });

  test('an inspection by odometer and fourteen points, a vehicle without a sheet', () => {
    const { meter, load: _load, rulebook: _rulebook, template: _template, focus: _focus, ...rest } = inspectionOf(CAR);
    expect(lift(inspectionRecord, { ...rest, meterKm: meter, limitSheet: 'baseline 1' })).toEqual(
      inspectionOf(CAR, { template: 'first-fourteen' }),
    );
    const { makeUp: _makeUp, spec: _spec, vin: _vin, meterUnit: _unit, ...plain } = CAR;
    const axles = CAR.axles.map(({ dual, brake, placardKpa }) => ({ dual, brake, placardKpa }));
    expect(lift(vehicleRecord, { ...plain, axles })).toMatchObject({
      meterUnit: 'km',
      axles: [{ steered: false, placardKpa: 230 }, {}],
    });
  });

  test('today’s shapes and nonsense pass through untouched', () => {
    for (const value of [old, null, 7, 'x', []]) {
      if (value !== old) expect([lift(findingRecord, value), lift(inspectionRecord, value)]).toEqual([value, value]);
    }
    expect(lift(vehicleRecord, CAR)).toBe(CAR);
    expect(lift(findingRecord, old)).toBe(old);
  });

  test('rules of a house that was not asked how far to look ahead follow what is usual', () => {
    const { lookAhead, repeatability: _repeatability, ...house } = BUILT_IN_RULEBOOK.house;
    const put = (body: unknown) => upgradeOperation({ kind: 'rulebook.put', body }).body;
    expect(put({ ...BUILT_IN_RULEBOOK, house })).toEqual(BUILT_IN_RULEBOOK);
    expect(put({ ...BUILT_IN_RULEBOOK, house: { ...house, lookAhead: lookAhead / 2 } })).toMatchObject({
      house: { lookAhead: 0.1, repeatability: {} },
    });
    expect(put('nonsense')).toBe('nonsense');
  });
});

describe('a rulebook', () => {
  const fields = (change: object) => {
    const parsed = rulebookSchema.safeParse({ ...BUILT_IN_RULEBOOK, ...change });
    return parsed.success ? [] : fieldErrors(parsed.error).map(({ field }) => field);
  };
  const [sheet] = BUILT_IN_RULEBOOK.sheets;
  test('as built in passes', () => expect(fields({})).toEqual([]));
  test.each([
    ['a template without points', { templates: [{ ...rulesWith().template, points: [] }] }, 'templates.0.points'],
    [
      'a point nobody knows',
      { templates: [{ ...rulesWith().template, points: ['tyre.nothing'] }] },
      'templates.0.points.0',
    ],
    [
      'a word of another vocabulary',
      { sheets: [{ ...sheet, words: { ...sheet?.words, belt: { split: 'fail' } } }] },
      'sheets.0.words.belt',
    ],
    [
      'a fluid left out',
      { sheets: [{ ...sheet, leaks: { ...sheet?.leaks, fuel: undefined } }] },
      'sheets.0.leaks.fuel',
    ],
    ['a school nobody follows', { house: { ...BUILT_IN_RULEBOOK.house, treadAs: 'by eye' } }, 'house.treadAs'],
    ['a thirteenth month', { house: { ...BUILT_IN_RULEBOOK.house, winterMonths: [13] } }, 'house.winterMonths.0'],
  ])('%s is refused with its field', (_, change, field) => expect(fields(change)).toContain(field));
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
