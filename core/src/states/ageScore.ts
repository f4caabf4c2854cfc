import { recordOf } from '../sums/keyed';
import type { StoredForecast } from '../score/storedForecast';
import { NAIVE_METHODS } from '../score/naive';
import type { Series } from '../trends/series';
import type { Vehicle } from '../vehicle/vehicle';
import { AGE_SHAPES, agesByTime } from './ageShapes';
import type { StateTrend } from './stateTrends';

const DAY_MS = 86_400_000;

/**
 * What ages as a series that wears over days, so that its forecasts are judged as any other's; null for a state that
 * goes both ways.
 */
export function ageingSeries({ key, point, place, measure, readings }: StateTrend): Series | null {
  if (!agesByTime(measure)) return null;
  const { yOf } = AGE_SHAPES[measure];
  let fill = 0;
  const told = readings.map(({ inspectionId, at, value, u, startsLine }) => {
    if (startsLine) fill += 1;
    return {
      inspectionId,
      at,
      meter: 0,
      travelled: Date.parse(at) / DAY_MS,
      value: yOf(value),
      u,
      startsPart: startsLine,
      part: `${key} ${fill}`,
    };
  });
  const ofPart = told.filter(({ part }) => part === `${key} ${fill}`);
  return { key, point, place, spot: 'whole', measure, readings: told, ofPart, fitted: null };
}

/** An ageing forecast as it goes on record: its distances are days. Null for one that tells nothing to judge. */
export function ageingToStore(vehicle: Pick<Vehicle, 'id'>, trend: StateTrend): StoredForecast | null {
  const { forecast, limits, measure, key, point, place } = trend;
  const last = ageingSeries(trend)?.ofPart.at(-1);
  const limit = limits.find(({ grade }) => grade === 'fail')?.value;
  if (!last || limit === undefined || !agesByTime(measure)) return null;
  if (!forecast || forecast.status === 'needs-readings' || forecast.status === 'reached') return null;
  const { days, daySteps } = forecast;
  return {
    inspectionId: last.inspectionId,
    vehicleId: vehicle.id,
    at: last.at,
    series: key,
    point,
    place,
    part: last.part,
    kind: measure,
    travelled: last.travelled,
    value: last.value,
    limit: AGE_SHAPES[measure].yOf(limit),
    distanceSteps: daySteps,
    daySteps,
    shown: { distance: days, days },
    naive: recordOf(NAIVE_METHODS, () => null),
  };
}
