import { currentFindings } from '../inspection/currentFindings';
import type { Finding } from '../inspection/finding';
import type { Inspection } from '../inspection/inspection';
import { rowsFor } from '../limits/rowsFor';
import { MEASURES } from '../catalogue/measures';
import type { Rules } from '../rules/rulebook';
import { verdictOf, type GradedPoint, type Verdict } from '../grading/verdict';
import { axleAt, type Vehicle } from '../vehicle/vehicle';
import { forecastOf, type Forecast } from '../trends/forecast';
import { seriesOf, type Series, type VisitRecord } from '../trends/series';

export interface Report {
  readonly vehicle: Vehicle;
  readonly inspection: Inspection;
  readonly verdict: Verdict;
  /** Wear of what has a limit to run out at, soonest first. */
  readonly runOut: readonly { readonly series: Series; readonly forecast: Forecast; readonly limit: number }[];
  readonly notSeen: readonly GradedPoint[];
}

/** The verdict over one inspection's findings, by the rules it was made under. */
export function verdictFor(
  vehicle: Vehicle,
  inspection: Inspection,
  findings: readonly Finding[],
  rules: Rules,
): Verdict {
  return verdictOf({ vehicle, inspection, rules, standing: currentFindings(findings).standing });
}

/** Forecasts of every wear series that has a fail limit, soonest run-out first, those that cannot say last. */
export function runOutOf(vehicle: Vehicle, visits: readonly VisitRecord[], rules: Rules): Report['runOut'] {
  return forecastSeries(vehicle, seriesOf(visits), rules);
}

/** As {@link runOutOf}, from series already made. */
export function forecastSeries(vehicle: Vehicle, series: readonly Series[], rules: Rules): Report['runOut'] {
  return series
    .flatMap((one) => {
      if (MEASURES[one.measure].nature !== 'wear') return [];
      const limit = failLimit(vehicle, one, rules);
      return limit === null ? [] : [{ series: one, forecast: forecastOf(one, limit), limit }];
    })
    .sort((a, b) => soonness(a.forecast) - soonness(b.forecast));
}

/** Where a wear series ends: the highest fail limit below it, the spec sheet's minimum added where the limit is told from it. */
export function failLimit(vehicle: Vehicle, { point, place, measure, readings }: Series, rules: Rules): number | null {
  const scope = { vehicle, house: rules.house, at: readings.at(-1)?.at ?? '' };
  const minimum = axleAt(vehicle.axles, place)?.discMinimumMm ?? null;
  const limits = rowsFor(rules.sheet, measure, point, place, scope).flatMap((row) => {
    if (row.kind !== 'value' && (row.kind !== 'over-minimum' || minimum === null)) return [];
    return row.thresholds
      .filter((edge) => edge.grade === 'fail' && edge.bad === 'below')
      .map((edge) => edge.value + (row.kind === 'over-minimum' ? (minimum ?? 0) : 0));
  });
  return limits.length > 0 ? Math.max(...limits) : null;
}

function soonness(forecast: Forecast): number {
  if (forecast.status === 'reached') return -1;
  return forecast.status === 'running-out' ? forecast.mid : Infinity;
}

/** Everything a report states about one visit, from the visit and those before it. */
export function composeReport(
  vehicle: Vehicle,
  visit: VisitRecord,
  earlier: readonly VisitRecord[],
  rules: Rules,
): Report {
  const verdict = verdictFor(vehicle, visit.inspection, visit.findings, rules);
  return {
    vehicle,
    inspection: visit.inspection,
    verdict,
    runOut: runOutOf(vehicle, [...earlier, visit], rules),
    notSeen: verdict.points.filter((point) => point.result.grade === 'not-seen'),
  };
}
