import { currentFindings } from '../inspection/currentFindings';
import type { Finding } from '../inspection/finding';
import type { Inspection } from '../inspection/inspection';
import { scaleOf, toReading } from '../limits/limitScale';
import type { Basis, LimitKind } from '../limits/limitSheet';
import { rowsFor } from '../limits/rowsFor';
import { MEASURES } from '../catalogue/measures';
import type { Rules } from '../rules/rulebook';
import type { LookAhead } from '../grading/aheadNote';
import { verdictOf, type GradedPoint, type Verdict } from '../grading/verdict';
import type { Vehicle } from '../vehicle/vehicle';
import type { LifeEntry } from '../parts/lifeEntry';
import type { FleetKnowledge } from '../trends/fleetKnowledge';
import { forecastOf, type Forecast, type ForecastGiven } from '../trends/forecast';
import { useOf } from '../trends/useOf';
import { seriesOf, type Series, type VisitRecord } from '../trends/series';

export interface Report {
  readonly vehicle: Vehicle;
  readonly inspection: Inspection;
  readonly verdict: Verdict;
  /** Wear of what has a limit to run out at, soonest first. */
  readonly runOut: readonly {
    readonly series: Series;
    readonly forecast: Forecast;
    readonly limit: number;
    readonly basis: Basis;
  }[];
  readonly notSeen: readonly GradedPoint[];
}

/** The verdict over one inspection's findings, by the rules it was made under; `lookAhead` for one not signed yet. */
export function verdictFor(
  vehicle: Vehicle,
  inspection: Inspection,
  findings: readonly Finding[],
  rules: Rules,
  lookAhead?: LookAhead,
): Verdict {
  return verdictOf({ vehicle, inspection, rules, standing: currentFindings(findings).standing, lookAhead });
}

/** What a forecast leans on besides the visits: what else happened, what the fleet teaches. */
export interface Beside {
  readonly entries?: readonly LifeEntry[];
  readonly fleet?: FleetKnowledge;
}

/** Forecasts of every wear series that has a fail limit, soonest run-out first, those that cannot say last. */
export function runOutOf(
  vehicle: Vehicle,
  visits: readonly VisitRecord[],
  rules: Rules,
  beside: Beside = {},
): Report['runOut'] {
  const series = seriesOf(visits, beside.entries ?? [], { vehicle, house: rules.house });
  return forecastSeries(vehicle, series, rules, {
    ...(beside.fleet ? { fleet: beside.fleet } : {}),
    use: useOf(visits, beside.entries ?? [], vehicle.meterUnit, beside.fleet?.use),
  });
}

/** Whether a series wears down to an end; a spare has tread and does not wear. */
export const runsOut = ({ measure, point }: Pick<Series, 'measure' | 'point'>): boolean =>
  MEASURES[measure].nature === 'wear' && point !== 'walk.spare';

/** As {@link runOutOf}, from series already made. */
export function forecastSeries(
  vehicle: Vehicle,
  series: readonly Series[],
  rules: Rules,
  given: Pick<ForecastGiven, 'fleet' | 'use'> = {},
): Report['runOut'] {
  const bears = rules.house.lookAhead;
  return series
    .flatMap((one) => {
      if (!runsOut(one)) return [];
      const end = wearEnd(vehicle, one, rules);
      if (end === null) return [];
      const { value: limit, basis } = end;
      return [{ series: one, forecast: forecastOf(one, limit, { vehicle, bears, ...given }), limit, basis }];
    })
    .sort((a, b) => soonness(a.forecast) - soonness(b.forecast));
}

/** Where a wear series ends, and on whose authority. */
export interface WearEnd {
  readonly value: number;
  readonly basis: Basis;
}

/** Kinds of limits that tell where wear ends. */
const WEARS_BY: readonly LimitKind[] = ['value', 'over-minimum'];

/** Where a wear series ends: the highest fail limit below it, the spec sheet's minimum added where the limit is told from it. */
export function wearEnd(vehicle: Vehicle, { point, place, measure, readings }: Series, rules: Rules): WearEnd | null {
  const scope = { vehicle, house: rules.house, at: readings.at(-1)?.at ?? '' };
  const ends = rowsFor(rules.sheet, measure, point, place, scope).flatMap((row): WearEnd[] => {
    const scale = WEARS_BY.includes(row.kind) ? scaleOf(row.kind, { vehicle, house: rules.house, place }) : null;
    if (scale === null || typeof scale === 'string') return [];
    return row.thresholds
      .filter((edge) => edge.grade === 'fail' && edge.bad === 'below')
      .map(({ value, basis }) => ({ value: toReading(scale, value), basis }));
  });
  return ends.sort((one, other) => other.value - one.value)[0] ?? null;
}

function soonness(forecast: Forecast): number {
  if (forecast.status === 'reached') return -1;
  return forecast.status === 'running-out' ? (forecast.distance.mid ?? Infinity) : Infinity;
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
