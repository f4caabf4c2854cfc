import { HALF_80 } from '../sums/normal';
import { STORED_CHANCES } from '../score/storedForecast';
import { daysBetween } from '../sums/daysBetween';
import type { Range } from '../trends/forecast';
import { failing, type HeldUp } from '../trends/heldUp';
import { UNCALIBRATED, askFor, worth, type Calibration } from '../wear/calibration';
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
      /** As of a wear forecast: told where ranges of its kind failed more often than they promise. */
      readonly held?: number;
      /** The last reading is unlike what the ones before told: 0 to 1. */
      readonly odd: number;
      /** Chance to meet the limit before the vehicle comes again; null where that is not known. */
      readonly beforeNext: number | null;
      /** Days at 5, 10, … 95 % as the model said it before calibration; null where farther than anyone plans. */
      readonly daySteps: readonly (number | null)[];
      /** The believed curve from the last reading on. */
      readonly path: readonly AgeStep[];
    };

/** What is asked of something that ages with time. */
export interface AgeAhead {
  /** Chance to be caught beyond the limit that the house bears, over 0 to 1. */
  readonly bears: number;
  /** When the vehicle comes again; null where that is not known. */
  readonly nextVisit: string | null;
  /** How wide ranges of its kind must be told so that they hold; as the model has them where it is left out. */
  readonly calibration?: Calibration;
  /** How often ranges of its kind have held; left out where nothing is told of it. */
  readonly held?: HeldUp | undefined;
}

export const DAYS_PER_MONTH = 365.25 / 12;
/** Nobody plans farther than this. */
const FAR_DAYS = 12 * 365;
const PATH_STEPS = 24;
const PATH_MONTHS = 36;
/** Ages at the first reading that are thought of where nobody told, months. */
const UNTOLD_AGES = Array.from({ length: 14 }, (_, step) => 3 + 6 * step);
/** How far one may lie from new when new: standard deviations, and how likely. */
const STARTS = [
  [-1.6, 0.1],
  [-0.8, 0.23],
  [0, 0.34],
  [0.8, 0.23],
  [1.6, 0.1],
] as const;
/** A misread: one in fifty, off by about this many of its spreads. */
const ODD_SHARE = 0.02;
const ODD_SPREADS = 5;
/** A belief of less than this share of the best is none. */
const LEAST_SHARE = 1e-4;

/** One way it may be: the curve it follows, where that began, its age at the last reading, and how likely all that is. */
interface Way {
  readonly curve: AgeShape['curves'][number];
  readonly start: number;
  readonly age: number;
  readonly share: number;
  /** Chance that the last reading was a misread. */
  readonly odd: number;
}

/**
 * Forecasts what ages: every curve of its kind, start and (where nobody told) age is weighed by the readings, misreads
 * allowed for; the limit is met when each of them meets it. A plain grid: deterministic, nothing sampled.
 *
 * @param limit value told at which it fails
 * @param readings of this one fill or battery, oldest first
 * @param since when it was filled or fitted; null where nobody told
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
  const known = since !== null && since <= first.at;
  const ways = waysOf(shape, readings, known ? [monthsBetween(since, first.at)] : UNTOLD_AGES);
  const { yOf } = shape;
  const crossings = ways
    .map(({ curve, start, age, share }) => ({
      days: Math.max(0, shape.monthsAt(curve, start - yOf(limit)) - age) * DAYS_PER_MONTH,
      share,
    }))
    .sort((a, b) => a.days - b.days);
  const { calibration = UNCALIBRATED } = ahead;
  const dayOf = (chance: number) => dayAt(crossings, askFor(calibration, chance));
  const finite = (days: number) => (days <= FAR_DAYS ? days : null);
  const low = dayOf(0.1);
  const outlook = {
    at: last.at,
    days: { low: Math.min(low, FAR_DAYS), mid: finite(dayOf(0.5)), high: finite(dayOf(0.9)) },
    distance: null,
    lookAgain: Math.min(FAR_DAYS, dayOf(ahead.bears)),
    from: known || readings.length > 1 ? 'readings' : 'fleet',
    ...failing(ahead.held),
    odd: ways.reduce((sum, { share, odd }) => sum + share * odd, 0),
    beforeNext:
      ahead.nextVisit === null ? null : worth(calibration, chanceBy(crossings, daysBetween(last.at, ahead.nextVisit))),
    daySteps: STORED_CHANCES.map((chance) => finite(dayAt(crossings, chance))),
    path: Array.from({ length: PATH_STEPS + 1 }, (_, step) => {
      const months = (PATH_MONTHS * step) / PATH_STEPS;
      const { value, half } = valueAhead(shape, ways, months);
      return { days: months * DAYS_PER_MONTH, value, half: half * calibration.width };
    }),
  } as const;
  if (yOf(last.value) <= yOf(limit)) return { status: 'reached', ...outlook };
  return { status: low > FAR_DAYS || outlook.days.mid === null ? 'far-off' : 'running-out', ...outlook };
}

function waysOf(shape: AgeShape, readings: readonly AgeReading[], agesAtFirst: readonly number[]): Way[] {
  const { curves, lost, yOf, perValue, fresh, handU } = shape;
  const first = readings[0]?.at ?? '';
  const looks = readings.map(({ at, value, u }) => ({
    months: monthsBetween(first, at),
    y: yOf(value),
    sigma: Math.hypot(u * perValue, handU),
  }));
  const ways: (Omit<Way, 'share'> & { readonly log: number })[] = [];
  let best = -Infinity;
  for (const ageAtFirst of agesAtFirst)
    for (const curve of curves) {
      const gone = looks.map(({ months }) => lost(curve, ageAtFirst + months));
      for (const [z, weight] of STARTS) {
        const start = fresh.value + z * fresh.sigma;
        const { log: fit, odd } = fitOf(looks.map(({ y, sigma }, at) => (y - start + (gone[at] ?? 0)) / sigma));
        const log = Math.log(curve.weight * weight) + fit;
        best = Math.max(best, log);
        ways.push({ curve, start, age: ageAtFirst + (looks.at(-1)?.months ?? 0), odd, log });
      }
    }
  const likely = ways.filter(({ log }) => log > best + Math.log(LEAST_SHARE));
  const total = likely.reduce((sum, { log }) => sum + Math.exp(log - best), 0);
  return likely.map(({ log, ...way }) => ({ ...way, share: Math.exp(log - best) / total }));
}

/**
 * How well readings fit, any of which may be odd.
 *
 * @param offs how far each is off, in its own standard deviations
 * @returns log likelihood, and the chance that the last one is odd
 */
function fitOf(offs: readonly number[]): { readonly log: number; readonly odd: number } {
  let [log, odd] = [0, 0];
  for (const off of offs) {
    const sound = (1 - ODD_SHARE) * Math.exp(-0.5 * off * off);
    const wrong = (ODD_SHARE / ODD_SPREADS) * Math.exp(-0.5 * (off / ODD_SPREADS) ** 2);
    odd = wrong / (sound + wrong + 1e-300);
    log += Math.log(sound + wrong + 1e-300);
  }
  return { log, odd };
}

type Crossings = readonly { readonly days: number; readonly share: number }[];

/** Days by which the limit is met with this chance; Infinity where it never is. */
function dayAt(crossings: Crossings, chance: number): number {
  let sum = 0;
  for (const { days, share } of crossings) {
    sum += share;
    if (sum >= chance) return days;
  }
  return crossings.at(-1)?.days ?? Infinity;
}

function chanceBy(crossings: Crossings, days: number): number {
  return crossings.reduce((sum, one) => sum + (one.days <= days ? one.share : 0), 0);
}

function valueAhead({ lost, valueOf, perValue }: AgeShape, ways: readonly Way[], months: number) {
  let [mean, square] = [0, 0];
  for (const { curve, start, age, share } of ways) {
    const y = start - lost(curve, age + months);
    mean += share * y;
    square += share * y * y;
  }
  return { value: valueOf(mean), half: (HALF_80 * Math.sqrt(Math.max(0, square - mean * mean))) / perValue };
}

const monthsBetween = (from: string, to: string) => daysBetween(from, to) / DAYS_PER_MONTH;
