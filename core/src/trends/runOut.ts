import { scaleOf, toReading } from '../limits/limitScale';
import type { Basis, LimitKind } from '../limits/limitSheet';
import { rowsFor } from '../limits/rowsFor';
import type { LifeEntry } from '../parts/lifeEntry';
import type { Rules } from '../rules/rulebook';
import type { Vehicle } from '../vehicle/vehicle';
import type { FleetKnowledge } from './fleetKnowledge';
import { forecastOf, type Forecast, type ForecastGiven } from './forecast';
import type { VisitRecord } from '../inspection/visitRecord';
import { runsOut } from './runsOut';
import { seriesOf, type Series } from './series';
import { usageOf } from './usageOf';
import { wearWatch } from './wearWatch';

/** A wear series with where it ends and when. */
export interface RunOut {
  readonly series: Series;
  readonly forecast: Forecast;
  readonly limit: number;
  readonly basis: Basis;
  /** The places across the same part that it was told from; left out where it was told from its own readings alone. */
  readonly across?: readonly Series[];
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
): RunOut[] {
  const series = seriesOf(visits, beside.entries ?? [], { vehicle, house: rules.house });
  return forecastSeries(vehicle, series, rules, {
    ...(beside.fleet ? { fleet: beside.fleet } : {}),
    perhaps: wearWatch(vehicle, series, beside.fleet)?.perhaps,
    use: usageOf(visits, beside.entries ?? [], vehicle.meterUnit, beside.fleet?.use),
  });
}

/** As {@link runOutOf}, from series already made; `across` gives the other places across a part where it is told as a whole. */
export function forecastSeries(
  vehicle: Vehicle,
  series: readonly Series[],
  rules: Rules,
  given: Pick<ForecastGiven, 'fleet' | 'use' | 'perhaps'> = {},
  acrossOf: (series: Series) => readonly Series[] = () => [],
): RunOut[] {
  const bears = rules.house.lookAhead;
  return series
    .flatMap((one) => {
      if (!runsOut(one)) return [];
      const end = wearEnd(vehicle, one, rules);
      if (end === null) return [];
      const { value: limit, basis } = end;
      const across = acrossOf(one);
      const forecast = forecastOf(one, limit, { vehicle, bears, across, ...given });
      return [{ series: one, forecast, limit, basis, ...(across.length > 1 ? { across } : {}) }];
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
    const scale = WEARS_BY.includes(row.kind) ? scaleOf(row.kind, { vehicle, house: rules.house, place, point }) : null;
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
