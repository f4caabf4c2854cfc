import type { LookAhead } from '../inspection/aheadNote';
import type { Inspection } from '../inspection/inspection';
import type { GradedPoint, Verdict } from '../grading/verdict';
import type { Rules } from '../rules/rulebook';
import { runOutOf, type Beside } from '../trends/runOut';
import { jobsOf } from '../jobs/jobsOf';
import type { LifeEntry } from '../parts/lifeEntry';
import type { Vehicle } from '../vehicle/vehicle';
import {
  namedRules,
  signedPoints,
  toldRunOut,
  verdictAsSigned,
  verdictOfVisit,
  type NamedRules,
  type SignedSheet,
  type ToldRunOut,
} from './signedSheet';
import type { StandingVisit } from './lifeStanding';
import { leftOpenBy, vehicleStanding, type StillOpen } from './vehicleStanding';

/** One visit as it is told on paper. */
export interface Report {
  /** As it was when the visit was signed. */
  readonly vehicle: Vehicle;
  readonly inspection: Inspection;
  readonly rules: NamedRules;
  readonly verdict: Verdict;
  /** As it was signed, where it was amended since; null where nothing was. */
  readonly asSigned: Verdict | null;
  /** Wear of what has a limit to run out at, soonest first. */
  readonly runOut: readonly ToldRunOut[];
  readonly notSeen: readonly GradedPoint[];
  /** What earlier visits left open and this one did not settle, worst first. */
  readonly stillOpen: readonly StillOpen[];
}

/**
 * Everything a report states about one visit. A signed one is told from what it was signed with alone; an open one from
 * its entries and the visits before it.
 */
export function composeReport(
  vehicle: Vehicle,
  visit: StandingVisit,
  earlier: readonly StandingVisit[],
  rules: Rules,
  beside: Beside = {},
  lookAhead?: LookAhead,
): Report {
  const { sheet, inspection, amendments = [] } = visit;
  const verdict = verdictOfVisit(vehicle, visit, rules, lookAhead);
  return {
    vehicle: sheet?.vehicle ?? vehicle,
    inspection,
    rules: sheet?.rules ?? namedRules(rules),
    verdict,
    asSigned: sheet && amendments.length > 0 ? verdictAsSigned(visit, sheet) : null,
    runOut: sheet?.runOut ?? runOutOf(vehicle, [...earlier, visit], rules, beside).map(toldRunOut),
    notSeen: verdict.rows.filter((point) => point.result.grade === 'not-seen'),
    stillOpen: sheet?.stillOpen ?? stillOpenAfter(vehicle, { visit, verdict }, earlier, rules, beside.entries ?? []),
  };
}

/** What stays open once this visit counts, by the visits before it. One that waits for its answer is told by these rules. */
function stillOpenAfter(
  vehicle: Vehicle,
  { visit, verdict }: { readonly visit: StandingVisit; readonly verdict: Verdict },
  earlier: readonly StandingVisit[],
  rules: Rules,
  entries: readonly LifeEntry[],
): StillOpen[] {
  const before = earlier.map((one) => ({
    inspection: one.inspection,
    verdict: verdictOfVisit(vehicle, one, rules),
  }));
  const judged = [...before, { inspection: visit.inspection, verdict }];
  return leftOpenBy(vehicleStanding(judged, jobsOf([...earlier, visit], entries), entries), visit.inspection.id);
}

/** What is kept of a report when its visit is signed. */
export function signedSheet({ vehicle, rules, verdict, runOut, stillOpen }: Report): SignedSheet {
  return { vehicle, rules, points: signedPoints(verdict.points), runOut, stillOpen };
}
