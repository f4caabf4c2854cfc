import type { LimitSheet } from '../limits/limitSheet';
import { currentFindings } from '../inspection/currentFindings';
import type { Finding, Inspection } from '../inspection/finding';
import { verdictOf, type GradedPoint, type Verdict } from '../grading/verdict';
import type { Vehicle } from '../vehicle/vehicle';
import { forecastOf, type Forecast } from '../trends/forecast';
import { seriesOf, type Series, type VisitRecord } from '../trends/series';
import { valueThresholds } from '../limits/limitSheet';

export interface Report {
  readonly vehicle: Vehicle;
  readonly inspection: Inspection;
  readonly verdict: Verdict;
  /** Wear of what has a limit to run out at, soonest first. */
  readonly runOut: readonly { readonly series: Series; readonly forecast: Forecast; readonly limit: number }[];
  readonly notSeen: readonly GradedPoint[];
}

/** The verdict over one inspection's findings, by its own limit sheet. */
export function verdictFor(
  vehicle: Vehicle,
  inspection: Inspection,
  findings: readonly Finding[],
  sheet: LimitSheet,
): Verdict {
  return verdictOf({ vehicle, inspection, sheet, guarded: false, standing: currentFindings(findings).standing });
}

/** Forecasts of every wear series that has a fail limit, soonest run-out first, those that cannot say last. */
export function runOutOf(vehicle: Vehicle, visits: readonly VisitRecord[], sheet: LimitSheet): Report['runOut'] {
  return forecastSeries(vehicle, seriesOf(visits), sheet);
}

/** As {@link runOutOf}, from series already made. */
export function forecastSeries(vehicle: Vehicle, series: readonly Series[], sheet: LimitSheet): Report['runOut'] {
  return series
    .flatMap((one) => {
      const limit = valueThresholds(sheet, one.measure, vehicle.class).find(
        (edge) => edge.grade === 'fail' && edge.bad === 'below',
      );
      const wears = one.measure === 'tread' || one.measure === 'lining';
      return limit && wears ? [{ series: one, forecast: forecastOf(one, limit.value), limit: limit.value }] : [];
    })
    .sort((a, b) => soonness(a.forecast) - soonness(b.forecast));
}

function soonness(forecast: Forecast): number {
  if (forecast.status === 'reached') return -1;
  return forecast.status === 'running-out' ? forecast.midKm : Infinity;
}

/** Everything a report states about one visit, from the visit and those before it. */
export function composeReport(
  vehicle: Vehicle,
  visit: VisitRecord,
  earlier: readonly VisitRecord[],
  sheet: LimitSheet,
): Report {
  const verdict = verdictFor(vehicle, visit.inspection, visit.findings, sheet);
  return {
    vehicle,
    inspection: visit.inspection,
    verdict,
    runOut: runOutOf(vehicle, [...earlier, visit], sheet),
    notSeen: verdict.points.filter((point) => point.result.grade === 'not-seen'),
  };
}
