import { STORED_CHANCES } from '../score/storedForecast';
import { daysBetween } from '../trends/daysBetween';
import type { Range } from '../trends/forecast';
import { UNCALIBRATED, askFor, worth, type Calibration } from '../wear/calibration';
import { believe, chanceAt, crossingAt, crossingCurve, type WearBelief } from '../wear/wearBelief';
import type { AgeShape } from './ageShapes';

/** One reading of what ages: value told, its standard uncertainty, and when. */
export interface AgeReading {
  readonly at: string;
  readonly value: number;
  readonly u: number;
}

/** What is believed of the value so many days after the last reading, with the half-width of its 80 %. */
export interface AgeStep {
  readonly days: number;
  readonly value: number;
  readonly half: number;
}

/** When what ages meets its limit, in days after its last reading. There is no distance: standing ages it too. */
export type AgeForecast =
  | { readonly status: 'needs-readings'; readonly have: number; readonly want: number }
  | {
      readonly status: 'reached' | 'running-out' | 'far-off';
      readonly at: string;
      readonly days: Range;
      readonly distance: null;
      /** As of a wear forecast: by when to look again; 0 where it is due now. */
      readonly lookAgain: number;
      /** `fleet`: its kind's usual ageing, from one reading of an age nobody told. */
      readonly from: 'readings' | 'fleet';
      readonly odd: number;
      /** Chance to meet the limit before the vehicle comes again; null where that is not known. */
      readonly beforeNext: number | null;
      /** Days at 5, 10, … 95 % as the model said it before calibration; null where farther than anyone plans. */
      readonly daySteps: readonly (number | null)[];
      /** The believed curve from the last reading on. */
      readonly path: readonly AgeStep[];
    };

export const DAYS_PER_MONTH = 365.25 / 12;
/** Nobody plans farther than this. */
const FAR_DAYS = 12 * 365;
const PATH_STEPS = 24;
const PATH_MONTHS = 36;
const HALF_80 = 1.2816;

export interface AgeAhead {
  /** Chance to be caught beyond the limit that the house bears, over 0 to 1. */
  readonly bears: number;
  /** When the vehicle comes again; null where that is not known. */
  readonly nextVisit: string | null;
  /** What forecasts of its kind were worth. */
  readonly calibration?: Calibration;
}

/**
 * Forecasts what ages along its shape.
 *
 * @param limit value told at which it fails
 * @param readings of this one fill or battery, oldest first
 * @param since when it was filled or fitted; null where nobody told: then its age is taken from its first reading
 */
export function ageForecast(
  shape: AgeShape,
  limit: number,
  readings: readonly AgeReading[],
  since: string | null,
  ahead: AgeAhead,
): AgeForecast {
  const [first, last] = [readings[0], readings.at(-1)];
  if (!first || !last) return { status: 'needs-readings', have: 0, want: 1 };
  const { progress, monthsAt, yOf, perValue, fresh, prior } = shape;
  const known = since !== null && since <= first.at ? since : null;
  const ageAtFirst = known
    ? monthsBetween(known, first.at)
    : Math.min(monthsAt(Math.max(0, (fresh.value - yOf(first.value)) / Math.exp(prior.mu))), FAR_DAYS / DAYS_PER_MONTH);
  const ageAt = (at: string) => ageAtFirst + monthsBetween(first.at, at);
  const belief = believe(
    prior,
    known ? { x: 0, fresh: fresh.value, sigma: fresh.sigma } : null,
    readings.map(({ at, value, u }) => ({ x: progress(ageAt(at)), y: yOf(value), u: u * perValue, bound: 'exact' })),
  );
  const age = ageAt(last.at);
  const start = progress(age);
  const curve = crossingCurve(belief, yOf(limit));
  const calibration = ahead.calibration ?? UNCALIBRATED;
  const plainDayOf = (chance: number) => (monthsAt(start + crossingAt(curve, chance)) - age) * DAYS_PER_MONTH;
  const dayOf = (chance: number) => plainDayOf(askFor(calibration, chance));
  const finite = (days: number) => (days <= FAR_DAYS ? days : null);
  const low = dayOf(0.1);
  const outlook = {
    at: last.at,
    days: { low: Math.min(low, FAR_DAYS), mid: finite(dayOf(0.5)), high: finite(dayOf(0.9)) },
    distance: null,
    lookAgain: Math.min(FAR_DAYS, dayOf(ahead.bears)),
    from: known || readings.length > 1 ? 'readings' : 'fleet',
    odd: belief.odd,
    beforeNext:
      ahead.nextVisit === null ? null : worth(calibration, chanceAt(curve, progress(ageAt(ahead.nextVisit)) - start)),
    daySteps: STORED_CHANCES.map((chance) => finite(plainDayOf(chance))),
    path: Array.from({ length: PATH_STEPS + 1 }, (_, step) => {
      const months = (PATH_MONTHS * step) / PATH_STEPS;
      return { days: months * DAYS_PER_MONTH, ...valueAhead(shape, belief, progress(age + months) - start) };
    }),
  } as const;
  if (yOf(last.value) <= yOf(limit)) return { status: 'reached', ...outlook };
  return { status: low > FAR_DAYS || outlook.days.mid === null ? 'far-off' : 'running-out', ...outlook };
}

function valueAhead(shape: AgeShape, { rates, weights, means, variances }: WearBelief, ahead: number) {
  let [mean, square] = [0, 0];
  for (let node = 0; node < rates.length; node += 1) {
    const weight = weights[node] ?? 0;
    const y = (means[node] ?? 0) - (rates[node] ?? 0) * ahead;
    mean += weight * y;
    square += weight * ((variances[node] ?? 0) + y * y);
  }
  const sigma = Math.sqrt(Math.max(0, square - mean * mean));
  return { value: shape.valueOf(mean), half: (HALF_80 * sigma) / shape.perValue };
}

const monthsBetween = (from: string, to: string) => daysBetween(from, to) / DAYS_PER_MONTH;
