import type { Life, Operation } from '@weskopos/contract';
import { fleetBoardSchema, lifeSchema, reportSchema, trendSchema } from '@weskopos/contract';
import {
  BUILT_IN_RULEBOOK,
  DRY,
  cataloguePoint,
  composeReport,
  rulesOf,
  runOutOf,
  type Finding,
  type Inspection,
  type Reading,
  type VisitRecord,
} from '@weskopos/core';

import { outlookOf } from '@weskopos/core/outlook';
import { repeatsOf } from '@weskopos/core/score/secondReadings';
import fc from 'fast-check';
import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import {
  newFinding,
  newInspection,
  newVehicle,
  operationOf,
  startWorkshop,
  type TestWorkshop,
} from '../tests/workshop';

/**
 * What stands is decided once. Visits of every habit are sent as two devices would; what the device tells of them, what the
 * server's life, report, trends and board tell must be the same to the last figure.
 */

const BOOK = {
  ...BUILT_IN_RULEBOOK,
  version: 1,
  house: { ...BUILT_IN_RULEBOOK.house, repeatability: { lining: 0.45, tread: 0.02 } },
};
let workshop: TestWorkshop;
beforeAll(async () => {
  workshop = await startWorkshop();
  await workshop.client.setUp(workshop.context.setupCode);
  await workshop.client.operations(operationOf('rulebook.put', BOOK));
});
afterAll(() => workshop.stop());

/** One entry as drawn: which earlier entry it builds on (none, the last, any other: a fork), and what it says. */
const entry = fc.record({
  point: fc.constantFrom('pad.inner', 'tyre.tread', 'tyre.pressure', 'leak.engine', 'walk.lamps', 'battery.crank'),
  place: fc.constantFrom('1L', '1R', '2L'),
  builds: fc.double({ min: 0, max: 1, noNaN: true }),
  values: fc.array(fc.integer({ min: 20, max: 90 }), { minLength: 1, maxLength: 3 }),
  left: fc.option(fc.integer({ min: 20, max: 90 }), { freq: 3 }),
  bound: fc.constantFrom('exact', 'exact', 'exact', 'over', 'under'),
  access: fc.constantFrom('seen', 'seen', 'seen', 'not-reached'),
  carried: fc.boolean(),
  outOf: fc.constantFrom(false, false, false, true),
  offset: fc.constantFrom('Z', '+02:00', '-05:00'),
  minute: fc.integer({ min: 0, max: 59 }),
  otherStandard: fc.boolean(),
  good: fc.integer({ min: 0, max: 2 }),
});
type Drawn = typeof entry extends fc.Arbitrary<infer T> ? T : never;
const fleetLife = fc.array(fc.array(entry, { minLength: 2, maxLength: 14 }), { minLength: 2, maxLength: 4 });

const MEASURE = {
  'pad.inner': 'lining',
  'tyre.tread': 'tread',
  'tyre.pressure': 'pressure',
  'battery.crank': 'crank',
} as const;
const SCALE = { lining: 0.1, tread: 0.1, pressure: 3, crank: 8 } as const;

function readingsOf(drawn: Drawn): Reading[] {
  if (drawn.point === 'leak.engine' || drawn.point === 'walk.lamps') return [];
  const measure = MEASURE[drawn.point];
  const spots = cataloguePoint(drawn.point).measures.find((slot) => slot.measure === measure)?.spots ?? [];
  const bound = measure === 'tread' || measure === 'lining' ? drawn.bound : 'exact';
  return spots.flatMap((spot) => {
    const found = {
      measure,
      spot,
      phase: 'found',
      values: drawn.values.map((value) => value * SCALE[measure]),
      bound,
      step: drawn.minute % 5 === 0 ? SCALE[measure] * 5 : null,
    } as const;
    const left =
      drawn.left === null || bound !== 'exact'
        ? []
        : [{ ...found, phase: 'left', values: [drawn.left * SCALE[measure]] } as const];
    return [found, ...left];
  });
}

function findingOf(drawn: Drawn, inspection: Inspection, before: readonly Finding[]): Finding {
  const place = cataloguePoint(drawn.point).repeats === null ? '' : drawn.place;
  const here = before.filter((one) => one.point === drawn.point && one.place === place);
  const parent = drawn.builds < 0.25 ? null : (here[Math.floor(drawn.builds * here.length)]?.id ?? null);
  const reached = drawn.access !== 'not-reached';
  const minute = String(drawn.minute).padStart(2, '0');
  return newFinding(inspection.id, {
    point: drawn.point as Finding['point'],
    place,
    parent,
    access: drawn.access as Finding['access'],
    accessReason: reached ? null : 'seized',
    readings: reached ? readingsOf(drawn) : [],
    leaks:
      reached && drawn.point === 'leak.engine'
        ? [{ ...DRY, stage: drawn.good === 0 ? 'dry' : 'damp', fluid: 'coolant' }]
        : [],
    counts:
      reached && drawn.point === 'walk.lamps' ? [{ item: 'dip', good: drawn.good, of: 2, found: null, out: [] }] : [],
    carried: reached && drawn.carried && drawn.minute % 4 === 0 ? { at: '2025-12-01', from: 'visit' } : null,
    outOf: reached && drawn.outOf ? ['off-cold'] : [],
    standard: drawn.point === 'battery.crank' ? (drawn.otherStandard ? 'JIS' : 'EN') : null,
    at: `${inspection.startedAt.slice(0, 10)}T1${drawn.good}:${minute}:00.000${drawn.offset}`,
  });
}

/** A vehicle's visits as drawn, each signed. */
function livedVisits(drawn: readonly (readonly Drawn[])[], vehicleId: string): VisitRecord[] {
  return drawn.map((entries, n) => {
    const startedAt = new Date(Date.UTC(2026, n * 2, 3, 8)).toISOString();
    const inspection = newInspection(vehicleId, { startedAt, meter: 30_000 + n * 7000, rulebook: 1 });
    const findings: Finding[] = [];
    for (const one of entries) findings.push(findingOf(one, inspection, findings));
    return { inspection, findings };
  });
}

const spec = { battery: { type: 'flooded', ratedA: 640, standard: 'EN' } } as const;

test('device, server, report, trends and board tell the same of what stands', async () => {
  await fc.assert(
    fc.asyncProperty(fleetLife, async (drawn) => {
      const base = newVehicle();
      const vehicle = { ...base, spec: { ...base.spec, ...spec } };
      const visits = livedVisits(drawn, vehicle.id);
      const operations: Operation[] = [operationOf('vehicle.put', vehicle)];
      for (const { inspection, findings } of visits)
        operations.push(
          operationOf('inspection.start', inspection),
          ...findings.map((finding) => operationOf('finding.put', finding)),
          operationOf('inspection.sign', { inspectionId: inspection.id, signedAt: inspection.startedAt }),
        );
      for (let from = 0; from < operations.length; from += 90) {
        const outcomes = await workshop.client.operations(...operations.slice(from, from + 90));
        expect(outcomes.map(({ refusal }) => refusal).filter(Boolean)).toEqual([]);
      }
      const signed = visits.map(({ inspection, findings }) => ({
        inspection: { ...inspection, signedAt: inspection.startedAt, ahead: [] },
        findings,
      }));
      const rules = rulesOf(BOOK, 'full');
      const { knowledge } = workshop.context.fleet;
      const device = outlookOf(vehicle, signed, [], rules, knowledge);

      const life: Life = lifeSchema.parse((await workshop.client.get(`/api/vehicles/${vehicle.id}/life`)).body);
      expect(outlookOf(vehicle, life.visits, life.entries, rules, knowledge)).toEqual(device);

      const trends = z.array(trendSchema).parse((await workshop.client.get(`/api/vehicles/${vehicle.id}/trends`)).body);
      expect(trends).toEqual(
        JSON.parse(JSON.stringify(runOutOf(vehicle, signed, rules, { entries: [], fleet: knowledge }))),
      );

      const board = fleetBoardSchema
        .parse((await workshop.client.get('/api/fleet/board')).body)
        .vehicles.find(({ vehicleId }) => vehicleId === vehicle.id);
      const told = [...device.parts.map(({ series, forecast }) => ({ ...series, forecast })), ...device.states].flatMap(
        ({ key, readings, forecast }) =>
          forecast && forecast.status !== 'needs-readings'
            ? [{ key, value: readings.at(-1)?.value, status: forecast.status, days: forecast.days }]
            : [],
      );
      expect(board?.parts.map(({ key, value, status, days }) => ({ key, value, status, days }))).toEqual(told);
      expect(board?.changes).toEqual(device.changes);
      expect(board?.leaks).toEqual(device.leaks.filter(({ fate }) => fate !== 'closed'));

      for (const visit of signed) {
        const { body } = await workshop.client.get(`/api/inspections/${visit.inspection.id}/report`);
        const report = reportSchema.parse(body);
        const own = composeReport(vehicle, { ...visit, acts: [] }, [], rules);
        expect(report.points.map(({ key, grade, closeCall }) => ({ key, grade, closeCall }))).toEqual(
          own.verdict.points.map(({ key, result }) => ({ key, grade: result.grade, closeCall: result.closeCall })),
        );
      }
    }),
    { numRuns: 25 },
  );
}, 240_000);

test('a fork’s newer end counts, whichever was written down first, and the house’s own repeatability with it', async () => {
  const vehicle = newVehicle();
  const inspection = newInspection(vehicle.id, { rulebook: 1 });
  const pad = (mm: number, at: string) =>
    newFinding(inspection.id, {
      at,
      readings: [{ measure: 'lining', spot: 'whole', phase: 'found', values: [mm], bound: 'exact', step: null }],
    });
  // 12:00 at +02:00 is before 11:00 at UTC, though it reads later.
  const [older, newer] = [pad(6, '2026-06-01T12:00:00+02:00'), pad(2, '2026-06-01T11:00:00Z')];
  await workshop.client.operations(
    operationOf('vehicle.put', vehicle),
    operationOf('inspection.start', inspection),
    operationOf('finding.put', newer),
    operationOf('finding.put', older),
    operationOf('inspection.sign', { inspectionId: inspection.id, signedAt: '2026-06-01T12:00:00Z' }),
  );
  const trends = z.array(trendSchema).parse((await workshop.client.get(`/api/vehicles/${vehicle.id}/trends`)).body);
  const [reading] = trends[0]?.series.readings ?? [];
  expect(reading?.value).toBe(2);
  expect(reading?.u).toBeCloseTo(Math.sqrt(0.5 ** 2 / 12 + 0.45 ** 2), 10);
});

test('a repeat that a later entry took over counts once for how well the house repeats', () => {
  const first = newFinding(randomUUID(), {
    readings: [{ measure: 'lining', spot: 'whole', phase: 'found', values: [6, 6.4], bound: 'exact', step: null }],
  });
  const noted = { ...first, id: randomUUID(), parent: first.id, at: '2026-06-01T09:00:00.000Z', note: 'by the stick' };
  expect(repeatsOf([first, noted])).toEqual([{ measure: 'lining', pairs: 1, sigma: expect.closeTo(0.2828, 4) }]);
});
