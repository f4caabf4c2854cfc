import { BASELINE } from '../limits/baseline';
import type { GradingContext } from '../grading/gradePoint';
import { currentFindings } from '../inspection/currentFindings';
import { nextFinding, type Finding, type FindingChange, type Inspection, type Reading } from '../inspection/finding';
import type { PointCode, Spot } from '../catalogue/points';
import type { MeasureCode } from '../catalogue/measures';
import type { Vehicle } from '../vehicle/vehicle';

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
    { dual: false, brake: 'disc', placardKpa: 230 },
    { dual: false, brake: 'disc', placardKpa: 220 },
  ],
};

export const MINIBUS: Vehicle = {
  ...CAR,
  id: '00000000-0000-4000-8000-000000000002',
  fleetCode: 'T 2',
  class: 'minibus',
  axles: [
    { dual: false, brake: 'disc', placardKpa: null },
    { dual: true, brake: 'disc', placardKpa: 350 },
  ],
};

export function inspectionOf(vehicle: Vehicle, change: Partial<Inspection> = {}): Inspection {
  return {
    id: '00000000-0000-4000-8000-0000000000aa',
    vehicleId: vehicle.id,
    startedAt: '2026-06-01T08:00:00.000Z',
    meterKm: 50_000,
    meterAnswer: null,
    complaint: '',
    state: 'cold',
    ambientC: 20,
    limitSheet: 'baseline 1',
    catalogueVersion: 1,
    signedAt: null,
    ...change,
  };
}

let made = 0;

/** A finding with an id of its own. */
export function findingOf(
  point: PointCode,
  place: string,
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
  return { measure, spot, phase, values: typeof values === 'number' ? [values] : values };
}

/** Outer, centre, inner. */
export function treadOf(outer: number, centre: number, inner: number): Reading[] {
  return [readingOf('tread', outer, 'outer'), readingOf('tread', centre, 'centre'), readingOf('tread', inner, 'inner')];
}

export function contextOf(
  vehicle: Vehicle,
  findings: readonly Finding[],
  change: Partial<GradingContext> = {},
): GradingContext {
  return {
    vehicle,
    inspection: inspectionOf(vehicle),
    sheet: BASELINE,
    guarded: false,
    standing: currentFindings(findings).standing,
    ...change,
  };
}
