import { NORMAL_NODES } from '../sums/normal';

/** One meter reading: day since any fixed moment, thousands of km (or h) since the first. */
export interface MeterPoint {
  readonly day: number;
  readonly x: number;
}

/** What the fleet's meters say of how use goes on: its season, and how far use strays by how far one looks. */
export interface FleetUsage {
  /** First harmonic of the year: share above the mean, cosine and sine of the day in the year. */
  readonly cosine: number;
  readonly sine: number;
  /** Standard deviation of the log of distance against what was expected, by how many days ahead. */
  readonly strays: readonly { readonly days: number; readonly sigma: number }[];
  /** Usual use where a vehicle has no history, thousands a day, and how far vehicles lie apart, log. */
  readonly usual: number;
  readonly usualSigma: number;
}

/** Built in, for a fleet without records. */
export const USUAL_USAGE: FleetUsage = {
  cosine: 0,
  sine: 0,
  strays: [
    { days: 0, sigma: 0.25 },
    { days: 180, sigma: 0.18 },
    { days: 365, sigma: 0.15 },
  ],
  usual: 0.04,
  usualSigma: 0.6,
};

/** One vehicle's use from here on. */
export interface UsageForecast {
  readonly day: number;
  /** Thousands a day, season taken out. */
  readonly perDay: number;
  readonly fleet: FleetUsage;
  /** How far this vehicle's own figure may be off, log. */
  readonly sigma: number;
  /** Stated trips over what is usual, thousands, evenly between two days. */
  readonly plans?: readonly UsePlan[];
}

/** What a vehicle is to do more than usual, over a stretch of days. */
export interface UsePlan {
  readonly from: number;
  readonly to: number;
  readonly x: number;
}

const YEAR = 365.25;
/** Old use counts half after this long, days. */
const HALF_LIFE = 270;
const DOUBTS_PER_DAY = 1 / 120;

/** Mean of the season's factor over a stretch of days. */
function season({ cosine, sine }: FleetUsage, from: number, to: number): number {
  const w = (2 * Math.PI) / YEAR;
  const length = Math.max(to - from, 1e-6);
  const cos = (Math.sin(w * to) - Math.sin(w * from)) / (w * length);
  const sin = (Math.cos(w * from) - Math.cos(w * to)) / (w * length);
  return Math.max(0.2, 1 + cosine * cos + sine * sin);
}

/** How a vehicle is used now: its own meter, recent stretches counting more, season taken out, drawn to the fleet where it is short. */
export function usageNow(history: readonly MeterPoint[], fleet: FleetUsage): UsageForecast {
  const last = history.at(-1);
  const day = last?.day ?? 0;
  let [distance, days, plainDays] = [0, 0, 0];
  for (let index = 1; index < history.length; index += 1) {
    const [a, b] = [history[index - 1], history[index]];
    if (!a || !b || b.day <= a.day) continue;
    const weight = 0.5 ** ((day - (a.day + b.day) / 2) / HALF_LIFE);
    distance += weight * Math.max(0, b.x - a.x);
    days += weight * (b.day - a.day) * season(fleet, a.day, b.day);
    plainDays += weight * (b.day - a.day);
  }
  // What is not yet known is worth a few weeks of the fleet's usual use.
  const prior = 21;
  const perDay = (distance + prior * fleet.usual) / (days + prior);
  const sigma = fleet.usualSigma / Math.sqrt(1 + plainDays * DOUBTS_PER_DAY * 4);
  return { day, perDay, fleet, sigma: plainDays > 60 ? 0 : sigma };
}

/** Distance expected within `days` from the last reading, thousands: what is usual, and what is planned over it. */
export function expectedUse({ day, perDay, fleet, plans = [] }: UsageForecast, days: number): number {
  if (days <= 0) return 0;
  const planned = plans.reduce((sum, { from, to, x }) => {
    const done = Math.min(to, day + days) - Math.max(from, day);
    return sum + (done > 0 ? (x * done) / Math.max(to - from, 1) : 0);
  }, 0);
  return perDay * days * season(fleet, day, day + days) + planned;
}

function strayAt(strays: FleetUsage['strays'], days: number): number {
  const after = strays.findIndex((stray) => stray.days >= days);
  const [low, high] = [strays[Math.max(0, after - 1)], strays[after]];
  if (!high) return strays.at(-1)?.sigma ?? 0.2;
  if (!low || low === high || high.days === low.days) return high.sigma;
  return low.sigma + ((high.sigma - low.sigma) * (days - low.days)) / (high.days - low.days);
}

/** Chance that something has happened within `days`, given its chance within a distance. */
export function chanceByDay(use: UsageForecast, days: number, byDistance: (ahead: number) => number): number {
  const middle = expectedUse(use, days);
  const sigma = Math.hypot(use.sigma, strayAt(use.fleet.strays, days));
  return NORMAL_NODES.reduce((sum, [z, weight]) => sum + weight * byDistance(middle * Math.exp(sigma * z)), 0);
}

const FARTHEST_DAYS = 60 * YEAR;

/** Days from the last meter reading by which it has happened with this chance; Infinity beyond any plan. */
export function dayOfChance(use: UsageForecast, chance: number, byDistance: (ahead: number) => number): number {
  if (byDistance(0) >= chance) return 0;
  let high = 90;
  while (chanceByDay(use, high, byDistance) < chance) {
    high *= 2;
    if (high > FARTHEST_DAYS) return Infinity;
  }
  let low = 0;
  for (let round = 0; round < 40 && high - low > 0.25; round += 1) {
    const mid = (low + high) / 2;
    if (chanceByDay(use, mid, byDistance) < chance) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

const HORIZONS = [0, 60, 120, 240, 480] as const;
const LEAST_STRAY = 0.05;

/** What the fleet's meter histories say: season by least squares, straying by looking back at what would have been expected. */
export function learnUsage(histories: readonly (readonly MeterPoint[])[]): FleetUsage {
  const rates = histories.flatMap((history) => {
    const [first, last] = [history[0], history.at(-1)];
    return first && last && last.day - first.day > 60 && last.x > first.x
      ? [(last.x - first.x) / (last.day - first.day)]
      : [];
  });
  if (rates.length < 3) return USUAL_USAGE;
  const logs = rates.map(Math.log);
  const middle = logs.reduce((sum, log) => sum + log, 0) / logs.length;
  const usualSigma = Math.max(
    0.15,
    Math.sqrt(logs.reduce((sum, log) => sum + (log - middle) ** 2, 0) / (logs.length - 1)),
  );
  const plain: FleetUsage = { ...USUAL_USAGE, ...seasonOf(histories), usual: Math.exp(middle), usualSigma };
  const off: number[][] = HORIZONS.map(() => []);
  for (const history of histories)
    for (let index = 2; index < history.length - 1; index += 1) {
      const use = usageNow(history.slice(Math.max(0, index - 8), index + 1), plain);
      for (const later of history.slice(index + 1, index + 6)) {
        const days = later.day - use.day;
        const gone = later.x - (history[index]?.x ?? 0);
        if (days < 20 || gone <= 0) continue;
        off[HORIZONS.findLastIndex((horizon) => horizon <= days)]?.push(Math.log(gone / expectedUse(use, days)));
      }
    }
  const strays = HORIZONS.flatMap((days, index) => {
    const logs = off[index] ?? [];
    if (logs.length < 10) return [];
    const square = logs.reduce((sum, log) => sum + log ** 2, 0) / logs.length;
    return [{ days: days * 1.4, sigma: Math.max(LEAST_STRAY, Math.sqrt(square)) }];
  });
  return strays.length > 0 ? { ...plain, strays } : plain;
}

/** Cosine and sine of the year in how use lies about each vehicle's mean. */
function seasonOf(histories: readonly (readonly MeterPoint[])[]): Pick<FleetUsage, 'cosine' | 'sine'> {
  const w = (2 * Math.PI) / YEAR;
  let [cc, cs, ss, cy, sy] = [1e-9, 0, 1e-9, 0, 0];
  for (const history of histories) {
    const [first, last] = [history[0], history.at(-1)];
    // A part of a year would take its season for the mean.
    if (!first || !last || last.day - first.day < 1.5 * YEAR) continue;
    const perDay = (last.x - first.x) / (last.day - first.day);
    for (let index = 1; index < history.length; index += 1) {
      const [a, b] = [history[index - 1], history[index]];
      if (!a || !b || b.day - a.day < 20) continue;
      const length = b.day - a.day;
      const cos = (Math.sin(w * b.day) - Math.sin(w * a.day)) / (w * length);
      const sin = (Math.cos(w * a.day) - Math.cos(w * b.day)) / (w * length);
      const y = (b.x - a.x) / length / perDay - 1;
      cc += length * cos * cos;
      cs += length * cos * sin;
      ss += length * sin * sin;
      cy += length * cos * y;
      sy += length * sin * y;
    }
  }
  const determinant = cc * ss - cs * cs;
  if (!(determinant > 1e-6)) return { cosine: 0, sine: 0 };
  return { cosine: (cy * ss - sy * cs) / determinant, sine: (sy * cc - cy * cs) / determinant };
}
