import {
  BOUNDS,
  CATALOGUE,
  CODE_STATES,
  CRANK_STANDARDS,
  FLUIDS,
  HOW_READ,
  LEAK_REACHES,
  LEAK_STAGES,
  MEASURES,
  PHASES,
  VOCABULARIES,
  namedSteps,
  type Count,
  type Finding,
  type Reading,
} from '@weskopos/core';
import { findingSchema, type StoredFinding } from '@weskopos/contract';
import fc from 'fast-check';
import { randomUUID } from 'node:crypto';
import {
  newFinding,
  newInspection,
  newVehicle,
  operationOf,
  startWorkshop,
  type TestWorkshop,
} from '../tests/workshop';

let workshop: TestWorkshop;
let inspectionId: string;
beforeAll(async () => {
  workshop = await startWorkshop();
  await workshop.client.setUp(workshop.context.setupCode);
  const vehicle = newVehicle();
  const inspection = newInspection(vehicle.id, {
    focus: ['belt.aux', 'pad.inner@1L'],
    load: 'full',
    template: 'return',
  });
  inspectionId = inspection.id;
  await workshop.client.operations(operationOf('vehicle.put', vehicle), operationOf('inspection.start', inspection));
});
afterAll(() => workshop.stop());

const PLACES = { tyre: '1L', hub: '2R', axle: '2', none: '' } as const;
const text = fc.string({ maxLength: 40, unit: 'grapheme' }).filter((one) => !/[\u0000\p{Surrogate}]/u.test(one));
const share = fc.integer({ min: 0, max: 1000 }).map((thousandths) => thousandths / 1000);

/** Anything a person could say of one point of the catalogue. */
const findings = fc.constantFrom(...CATALOGUE).chain((point): fc.Arbitrary<Finding> => {
  const slots = point.measures.flatMap(({ measure, spots }) =>
    spots.flatMap((spot) => PHASES.map((phase) => ({ measure, spot, phase }))),
  );
  const readings = fc.subarray(slots).chain((chosen) =>
    fc.tuple(
      ...chosen.map((slot): fc.Arbitrary<Reading> => {
        const { least, most } = MEASURES[slot.measure];
        const value = namedSteps(slot.measure)
          ? fc.integer({ min: least, max: most })
          : fc.double({ min: least, max: most, noNaN: true }).map((one) => (one === 0 ? 0 : one));
        return fc.record({
          measure: fc.constant(slot.measure),
          spot: fc.constant(slot.spot),
          phase: fc.constant(slot.phase),
          values: fc.array(value, { minLength: 1, maxLength: 5 }),
          bound: fc.constantFrom(...BOUNDS),
          step: fc.constantFrom(null, 0.01, 0.5, 5),
        });
      }),
    ),
  );
  const leak = fc.record({
    stage: fc.constantFrom(...LEAK_STAGES),
    fluid: fc.constantFrom(...FLUIDS),
    place: fc.option(fc.constantFrom(...point.leakPlaces, ...(point.leakPlaces.length > 0 ? [] : (['tank'] as const)))),
    reaches: fc.constantFrom(...LEAK_REACHES),
    wiped: fc.boolean(),
    dropsPerMinute: fc.option(fc.integer({ min: 0, max: 600 })),
    onlyRunning: fc.option(fc.boolean()),
  });
  const count = fc.integer({ min: 1, max: 99 }).chain((of) =>
    fc.integer({ min: 0, max: of }).map((good): Count => ({
      item: point.counted === 'lamps' ? 'dip' : 'all',
      good,
      of,
      found: good > 0 && of % 2 === 0 ? good - 1 : null,
      out: point.counted === 'lamps' && good < of ? ['front-left'] : [],
    })),
  );
  const mark = fc.oneof(
    fc.record({ kind: fc.constant('ring' as const), x: share, y: share, radius: share }),
    fc.record({ kind: fc.constant('arrow' as const), x: share, y: share, toX: share, toY: share }),
    fc.record({ kind: fc.constant('text' as const), x: share, y: share, text: fc.constant('wet') }),
  );
  const none = fc.constant([]);
  return fc
    .record({
      readings,
      words: point.vocabulary ? fc.subarray([...VOCABULARIES[point.vocabulary]]) : none,
      leaks: point.leakPlaces.length > 0 ? fc.array(leak, { maxLength: 3 }) : none,
      counts: point.counted ? fc.array(count, { maxLength: 1 }) : none,
      codes: point.codes
        ? fc.array(fc.record({ code: fc.constantFrom('C 1', 'C 2'), text, state: fc.constantFrom(...CODE_STATES) }), {
            maxLength: 4,
          })
        : none,
      howRead: fc.option(fc.constantFrom(...HOW_READ)),
      standard: fc.option(fc.constantFrom(...CRANK_STANDARDS)),
      override: fc.option(
        fc.record({
          grade: fc.constantFrom('pass' as const, 'advisory' as const, 'fail' as const),
          reason: fc.constant('seen by Maren'),
        }),
      ),
      carried: fc.option(
        fc.record({ at: fc.constant('2026-05-20'), from: fc.constantFrom('visit' as const, 'job' as const) }),
      ),
      inOneStroke: fc.boolean(),
      note: text,
      photos: fc.array(fc.record({ id: fc.uuid(), caption: text, marks: fc.array(mark, { maxLength: 3 }) }), {
        maxLength: 2,
      }),
    })
    .map((content) =>
      newFinding(inspectionId, {
        ...content,
        id: randomUUID(),
        point: point.code,
        place: PLACES[point.repeats ?? 'none'],
      }),
    );
});

/** Readings and counts have no order of their own. */
const sorted = ({ readings, counts, ...rest }: Finding) => ({
  ...rest,
  readings: [...readings].sort((a, b) => JSON.stringify(a).localeCompare(JSON.stringify(b))),
  counts: [...counts].sort((a, b) => a.item.localeCompare(b.item)),
});

test('anything that may be said of any point is read back as it was said', async () => {
  const said: Finding[] = [];
  await fc.assert(
    fc.asyncProperty(findings, async (finding) => {
      expect(findingSchema.safeParse(finding).error).toBeUndefined();
      const [outcome] = await workshop.client.operations(operationOf('finding.put', finding));
      expect(outcome).toMatchObject({ status: 'applied' });
      said.push(finding);
    }),
    { numRuns: 120 },
  );
  const { body } = await workshop.client.get(`/api/inspections/${inspectionId}`);
  const stored = new Map((body.findings as StoredFinding[]).map(({ by, ...finding }) => [finding.id, { finding, by }]));
  expect(said.length).toBeGreaterThanOrEqual(120);
  for (const finding of said) {
    const back = stored.get(finding.id);
    expect(back?.by).toBe('Maren');
    expect(back && sorted(back.finding)).toEqual(sorted(finding));
  }
});

test('what a return visit looks at, its load and template are kept', async () => {
  const { body } = await workshop.client.get(`/api/inspections/${inspectionId}`);
  expect(body.inspection).toMatchObject({ focus: ['belt.aux', 'pad.inner@1L'], load: 'full', template: 'return' });
});

test.each([
  ['a wheel it has not', { place: '3L' }],
  ['half of a dual pair it has not', { point: 'tyre.tread', place: '1Lo', readings: [] }],
  ['an axle it has not', { point: 'tyre.match', place: '3', readings: [] }],
] as const)('%s is refused', async (_, change) => {
  const finding = newFinding(inspectionId, change);
  expect(await workshop.client.operations(operationOf('finding.put', finding))).toMatchObject([
    { refusal: 'no-place' },
  ]);
});
