import { MEASURES, MEASURE_CODES, type MeasureCode } from '../catalogue/measures';
import { uncertaintyOf } from '../grading/compared';
import { momentsOf, quantityOf } from '../catalogue/quantities';
import { standingOf } from '../inspection/currentFindings';
import { PHASES, readingValue, type Bound, type Finding, type Phase, type Reading } from '../inspection/finding';
import type { PointCode } from '../catalogue/catalogue';
import { SPOTS, type Spot } from '../catalogue/points/point';
import type { LeakObservation } from '../catalogue/leaks';
import type { HouseRules } from '../house/houseRules';
import type { Vehicle, Place } from '../vehicle/vehicle';
import { groupBy } from '../sums/groupBy';

/** What is taken of an entry to tell what goes on over visits. */
export type TrendEntry = Pick<
  Finding,
  'id' | 'parent' | 'inspectionId' | 'point' | 'place' | 'at' | 'carried' | 'outOf' | 'standard' | 'readings' | 'leaks'
>;

/** One reading as it was taken, before it belongs to anything. */
export interface RawReading {
  readonly inspectionId: string;
  readonly point: PointCode;
  readonly place: Place;
  readonly spot: Spot;
  readonly measure: MeasureCode;
  readonly phase: Phase;
  readonly value: number;
  /** Standard uncertainty, stored unit. */
  readonly u: number;
  /** Left out where the value is one: a bound says on which side of it the truth lies. */
  readonly bound?: Exclude<Bound, 'exact'>;
}

/** What was seen of one place at one visit. */
export interface LeakLook {
  readonly inspectionId: string;
  readonly at: string;
  readonly point: PointCode;
  readonly observation: Pick<LeakObservation, 'stage' | 'fluid' | 'place' | 'wiped'>;
}

/** What decides how a look counts: the rating's standard, how well the house's readings repeat. */
export interface LooksGiven {
  readonly vehicle: Pick<Vehicle, 'spec'>;
  readonly house: Pick<HouseRules, 'repeatability'>;
}

/** What is forecast, and what a forecast of it leans on: all that the fleet's sums need of a vehicle's readings. */
export const FORECAST_MEASURES: readonly MeasureCode[] = MEASURE_CODES.filter(
  (measure) => MEASURES[measure].nature === 'wear' || ['pressure', 'water', 'rest-voltage', 'crank'].includes(measure),
);

/**
 * Of each visit the entries that stand, point by point in one order whatever order they came in; a look that was only
 * carried is left out: it is the old one again.
 */
export function standingLooks<E extends TrendEntry>(entries: readonly E[]): E[] {
  return [...groupBy(entries, ({ inspectionId }) => inspectionId).values()].flatMap((ofVisit) =>
    [...standingOf(ofVisit)]
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .flatMap(([, entry]) => (entry.carried === null ? [entry] : [])),
  );
}

const inOrder = (a: Reading, b: Reading) =>
  MEASURE_CODES.indexOf(a.measure) - MEASURE_CODES.indexOf(b.measure) ||
  SPOTS.indexOf(a.spot) - SPOTS.indexOf(b.spot) ||
  PHASES.indexOf(a.phase) - PHASES.indexOf(b.phase);

/**
 * What standing looks read, as found and as left: the mean of repeats with its uncertainty by gauge and house. What was
 * read out of condition says nothing; a bound tells of what wears only; a cranking current by another standard than the
 * rating's is never converted.
 */
export function rawReadings(looks: readonly TrendEntry[], given: LooksGiven): RawReading[] {
  return byQuantity(bareReadings(looks, given));
}

/**
 * One quantity, one series: what is read of it at several moments of a visit is as found at the first of them, and as left
 * where a later one tells something else. Read again the same, it is the same reading.
 */
function byQuantity(readings: readonly RawReading[]): RawReading[] {
  const isAgain = ({ point }: RawReading) => momentsOf(point).length > 1;
  const found = new Map<string, RawReading>();
  const again = readings
    .filter(isAgain)
    .sort((a, b) => momentsOf(a.point).indexOf(a.point) - momentsOf(b.point).indexOf(b.point))
    .flatMap((reading): RawReading[] => {
      const { inspectionId, place, spot, measure, value, u } = reading;
      const point = quantityOf(reading.point);
      const key = [inspectionId, point, place, spot, measure].join(' ');
      const first = found.get(key);
      if (!first) {
        found.set(key, reading);
        return [{ ...reading, point }];
      }
      const isSame = reading.phase === 'found' && Math.abs(value - first.value) <= SAME_SIGMAS * Math.hypot(u, first.u);
      return isSame ? [] : [{ ...reading, point, phase: 'left' }];
    });
  return [...readings.filter((reading) => !isAgain(reading)), ...again];
}

/** Two readings of one thing that differ by less than this many standard deviations of the difference are the same. */
const SAME_SIGMAS = 3;

function bareReadings(looks: readonly TrendEntry[], { vehicle, house }: LooksGiven): RawReading[] {
  return looks.flatMap(({ inspectionId, point, place, outOf, standard, readings }) =>
    outOf.length > 0
      ? []
      : [...readings]
          .sort(inOrder)
          .filter(({ bound, measure }) => bound === 'exact' || MEASURES[measure].nature === 'wear')
          .filter(({ measure }) => measure !== 'crank' || standard === vehicle.spec.battery.standard)
          .map((reading) => ({
            inspectionId,
            point,
            place,
            spot: reading.spot,
            measure: reading.measure,
            phase: reading.phase,
            value: readingValue(reading),
            u: uncertaintyOf(reading, house),
            ...(reading.bound === 'exact' ? {} : { bound: reading.bound }),
          })),
  );
}

/** What standing looks saw of leaks; `startedAt` by visit. Wet is wet in any state. */
export function leakLooks(looks: readonly TrendEntry[], startedAt: ReadonlyMap<string, string>): LeakLook[] {
  return looks.flatMap(({ inspectionId, point, leaks }) =>
    leaks.map((observation) => ({ inspectionId, at: startedAt.get(inspectionId) ?? '', point, observation })),
  );
}
