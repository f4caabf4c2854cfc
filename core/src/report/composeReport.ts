import type { LookAhead } from '../inspection/aheadNote';
import type { Inspection } from '../inspection/inspection';
import { verdictFor, type GradedPoint, type Verdict } from '../grading/verdict';
import type { Rules } from '../rules/rulebook';
import { runOutOf, type Beside, type RunOut } from '../trends/runOut';
import type { VisitRecord } from '../inspection/visitRecord';
import type { Vehicle } from '../vehicle/vehicle';

/** One visit as it is told on paper. */
export interface Report {
  readonly vehicle: Vehicle;
  readonly inspection: Inspection;
  readonly verdict: Verdict;
  /** Wear of what has a limit to run out at, soonest first. */
  readonly runOut: readonly RunOut[];
  readonly notSeen: readonly GradedPoint[];
}

/** Everything a report states about one visit, from the visit and those before it. */
export function composeReport(
  vehicle: Vehicle,
  visit: VisitRecord,
  earlier: readonly VisitRecord[],
  rules: Rules,
  beside: Beside = {},
  lookAhead?: LookAhead,
): Report {
  const verdict = verdictFor(vehicle, visit.inspection, visit.findings, rules, lookAhead);
  return {
    vehicle,
    inspection: visit.inspection,
    verdict,
    runOut: runOutOf(vehicle, [...earlier, visit], rules, beside),
    notSeen: verdict.points.filter((point) => point.result.grade === 'not-seen'),
  };
}
