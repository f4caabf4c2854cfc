import type { GradingContext } from '../grading/compared';
import { BUILT_IN_RULEBOOK, rulesOf, type Rules } from '../rules/rulebook';
import { USUAL_HOUSE_RULES, type HouseRules } from '../house/houseRules';
import type { BoardPart, VehicleBoard } from '../outlook/vehicleBoard';
import type { LifeEntry } from '../parts/lifeEntry';
import type { VisitRecord } from '../inspection/visitRecord';
import { seriesOf, type Series } from '../trends/series';
import { currentFindings } from '../inspection/currentFindings';
import { nextFinding, type Finding, type FindingChange, type Reading } from '../inspection/finding';
import { blankInspection, type Inspection } from '../inspection/inspection';
import type { PointCode } from '../catalogue/catalogue';
import type { Spot } from '../catalogue/points/point';
import { DRY, type LeakObservation } from '../catalogue/leaks';
import type { MeasureCode } from '../catalogue/measures';
import { USUAL_MAKE_UP } from '../vehicle/makeUp';
import { BLANK_SPEC } from '../vehicle/specSheet';
import { PLAIN_AXLE, type Vehicle, type Place } from '../vehicle/vehicle';

/** Builders for tests, here and in the other workspaces. */

export const CAR: Vehicle = {
  id: '00000000-0000-4000-8000-000000000001',
  fleetCode: 'T 1',
  plate: 'TST 1',
  make: 'Osprell',
  model: 'Linnet',
  year: 2020,
  class: 'car',
  use: 'tests',
  axles: [
    { ...PLAIN_AXLE, steered: true, driven: true, placardKpa: 230, placardFullKpa: 250 },
    { ...PLAIN_AXLE, placardKpa: 220, placardFullKpa: 280 },
  ],
  vin: '',
  meterUnit: 'km',
  makeUp: USUAL_MAKE_UP,
  spec: BLANK_SPEC,
};

export const MINIBUS: Vehicle = {
  ...CAR,
  id: '00000000-0000-4000-8000-000000000002',
  fleetCode: 'T 2',
  class: 'minibus',
  axles: [
    { ...PLAIN_AXLE, steered: true },
    { ...PLAIN_AXLE, dual: true, driven: true, placardKpa: 350 },
  ],
  makeUp: { ...USUAL_MAKE_UP, drive: 'rear', passengerLift: true },
};

export function inspectionOf(vehicle: Vehicle, change: Partial<Inspection> = {}): Inspection {
  const id = '00000000-0000-4000-8000-0000000000aa';
  const told = { vehicleId: vehicle.id, startedAt: '2026-06-01T08:00:00.000Z', meter: 50_000, ambientC: 20 };
  return blankInspection({ id, ...told, ...change });
}

let made = 0;

/** A finding with an id of its own. */
export function findingOf(
  point: PointCode,
  place: Place,
  change: FindingChange = {},
  inspectionId = '00000000-0000-4000-8000-0000000000aa',
): Finding {
  made += 1;
  const id = `00000000-0000-4000-8000-${made.toString(16).padStart(12, '0')}`;
  return nextFinding(
    undefined,
    { inspectionId, point, place },
    { id, at: '2026-06-01T08:05:00.000Z' },
    { access: 'seen', ...change },
  );
}

export function readingOf(
  measure: MeasureCode,
  values: number | readonly number[],
  spot: Spot = 'whole',
  phase: Reading['phase'] = 'found',
): Reading {
  return { measure, spot, phase, values: typeof values === 'number' ? [values] : values, bound: 'exact', step: null };
}

export function leakOf(change: Partial<LeakObservation> = {}): LeakObservation {
  return { ...DRY, fluid: 'engine-oil', ...change };
}

/** Outer, centre, inner. */
export function treadOf(outer: number, centre: number, inner: number): Reading[] {
  return [readingOf('tread', outer, 'outer'), readingOf('tread', centre, 'centre'), readingOf('tread', inner, 'inner')];
}

/** The built-in rules of a template, with house rules changed. */
export function rulesWith(house: Partial<HouseRules> = {}, template = 'full'): Rules {
  return rulesOf({ ...BUILT_IN_RULEBOOK, house: { ...BUILT_IN_RULEBOOK.house, ...house } }, template);
}

export function contextOf(
  vehicle: Vehicle,
  findings: readonly Finding[],
  change: Partial<GradingContext> = {},
): GradingContext {
  return {
    vehicle,
    inspection: inspectionOf(vehicle),
    rules: rulesWith(),
    standing: currentFindings(findings).standing,
    ...change,
  };
}

/** The series of a plain car in a house that knows nothing of its own gauges. Entries belong to the visit they are given with. */
export function plainSeries(visits: readonly VisitRecord[], entries: readonly LifeEntry[] = []): Series[] {
  return seriesOf(visits.map(ofItsVisit), entries, { vehicle: CAR, house: USUAL_HOUSE_RULES });
}

/** A visit whose entries name it. */
export function ofItsVisit({ inspection, findings }: VisitRecord): VisitRecord {
  return { inspection, findings: findings.map((finding) => ({ ...finding, inspectionId: inspection.id })) };
}

/** A pad that runs out within some weeks, as a vehicle's board tells it. */
export const boardPartOf = (change: Partial<BoardPart> = {}): BoardPart => ({
  key: 'k',
  point: 'pad.inner',
  place: '2R',
  spot: 'whole',
  measure: 'lining',
  size: '',
  value: 3,
  limit: 1.5,
  status: 'running-out',
  at: '2026-11-20T08:00:00.000Z',
  basis: 'law',
  distance: { low: 500, mid: 900, high: 1500 },
  days: { low: 12, mid: 30, high: 60 },
  besidePeers: null,
  ...change,
});

/** The board of the plain car, on which nothing stands. */
export const boardOf = (change: Partial<VehicleBoard> = {}): VehicleBoard => ({
  vehicleId: CAR.id,
  fleetCode: CAR.fleetCode,
  name: '',
  class: CAR.class,
  meterUnit: 'km',
  axles: 2,
  lastVisit: null,
  nextVisit: null,
  parts: [],
  changes: [],
  leaks: [],
  ...change,
});
