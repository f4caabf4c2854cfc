import { recordOf } from '../sums/keyed';
import type { PointCode } from '../catalogue/catalogue';
import type { Vehicle, Place } from '../vehicle/vehicle';
import { chanceAt, crossingAt } from '../wear/crossing';
import { dayOfChance } from '../wear/usageModel';
import { crossingOf, type Forecast, type ForecastGiven, type Range } from '../trends/forecast';
import { METER_STEP, partHistory } from '../trends/partHistory';
import { lastLook, type Series } from '../trends/series';
import { NAIVE_METHODS, naiveLeft, type NaiveMethod } from './naive';

/** A forecast as it was shown, with all that is needed to judge it when the truth comes. */
export interface StoredForecast {
  readonly inspectionId: string;
  readonly vehicleId: string;
  readonly at: string;
  readonly series: string;
  readonly point: PointCode;
  readonly place: Place;
  readonly part: string;
  /** What wears alike. */
  readonly kind: string;
  readonly travelled: number;
  readonly value: number;
  readonly limit: number;
  /** Left at 5, 10, … 95 % as the model said it before calibration; null where farther than anyone plans. */
  readonly distanceSteps: readonly (number | null)[];
  readonly daySteps: readonly (number | null)[];
  /** What was shown. */
  readonly shown: { readonly distance: Range; readonly days: Range | null };
  readonly naive: Readonly<Record<NaiveMethod, number | null>>;
}

/** Chances the stored steps stand for. */
export const STORED_CHANCES: readonly number[] = Array.from({ length: 19 }, (_, step) => (step + 1) / 20);

/** A forecast as it goes on record; null for one that tells nothing to judge. */
export function toStore(
  vehicle: Pick<Vehicle, 'id' | 'class' | 'use' | 'meterUnit'>,
  series: Series,
  limit: number,
  forecast: Forecast,
  { fleet, use = null, across = [], perhaps }: Pick<ForecastGiven, 'fleet' | 'use' | 'across' | 'perhaps'>,
): StoredForecast | null {
  const [last, read] = [lastLook(series), series.ofPart.at(-1)];
  if (!last || !read || forecast.status === 'needs-readings' || forecast.status === 'reached') return null;
  const step = METER_STEP[vehicle.meterUnit];
  const part = partHistory(vehicle, series);
  const curve = crossingOf(series, limit, { vehicle, across, perhaps, ...(fleet ? { fleet } : {}) });
  const finite = (value: number, scale: number) => (Number.isFinite(value) ? value * scale : null);
  const plain = {
    readings: part.readings,
    fitted: part.fitted && { x: part.fitted.x, y: part.fitted.fresh },
    limit,
    fleetLife: null,
  };
  return {
    inspectionId: last.inspectionId,
    vehicleId: vehicle.id,
    at: last.at,
    series: series.key,
    point: series.point,
    place: series.place,
    part: read.part,
    kind: part.kind,
    travelled: last.travelled,
    // Judged from what was read: a bound is no figure to draw a line from.
    value: read.value,
    limit,
    distanceSteps: STORED_CHANCES.map((chance) => finite(crossingAt(curve, chance), step)),
    daySteps: STORED_CHANCES.map((chance) =>
      use
        ? finite(
            dayOfChance(use, chance, (ahead) => chanceAt(curve, ahead)),
            1,
          )
        : null,
    ),
    shown: { distance: forecast.distance, days: forecast.days },
    naive: recordOf(NAIVE_METHODS, (method) => {
      const left = naiveLeft(method, plain);
      return left === null ? null : left * step;
    }),
  };
}
