import { chanceOfOdds } from '../sums/chanceOfOdds';
/** One figure over time, as the log of what was used. */
export interface UsePoint {
  /** Days from any fixed moment. */
  readonly day: number;
  /** Natural log of the use. */
  readonly log: number;
}

/** A use that went up or down for good, and how sure that is. */
export interface LevelChange {
  /** Between these two points. */
  readonly sinceDay: number;
  /** Use after against before. */
  readonly factor: number;
  readonly odds: number;
  readonly sureness: number;
}

const YEAR = 365.25;
/** Day of the year, counted from 1 January, on which cold weather costs most. */
const COLDEST = 15;
/** Priors, standard deviations of a log: the season's swing about its usual, and a change that is worth telling. */
const SEASON_USUAL = 0.03;
const SEASON_SIGMA = 0.03;
const CHANGE_SIGMA = 0.15;
const LEVEL_SIGMA = 3;
/** Changes are seldom: odds before anything is read, shared over where it may have begun. */
const PRIOR_ODDS = Math.log(0.05);
/** Fills scatter by at least this: nobody fills to the same drop. */
const LEAST_SCATTER = 0.03;
const LEAST_POINTS = 6;
/** Points that must lie on each side. */
const LEAST_SIDE = 2;

/**
 * Whether a use changed for good, its season taken out: one level with a season against two levels with a season, by
 * their evidence (linear Gaussian, everything but the scatter integrated out). Deterministic.
 *
 * @param seasonal whether it follows the year at all: fuel does, oil does not
 * @returns the likeliest change, however unlikely; null with too few points to tell
 */
export function findLevelChange(points: readonly UsePoint[], seasonal: boolean): LevelChange | null {
  const ordered = [...points].sort((a, b) => a.day - b.day);
  if (ordered.length < LEAST_POINTS) return null;
  const season = (day: number) => (seasonal ? Math.cos((2 * Math.PI * (day - COLDEST)) / YEAR) : 0);
  // What is usual of the season is taken out; how far this vehicle's lies from it is left to the evidence.
  const y = ordered.map(({ day, log }) => log - SEASON_USUAL * season(day));
  const middle = [...y].sort((a, b) => a - b)[Math.floor(y.length / 2)] ?? 0;
  const off = y.map((one) => one - middle);
  const sigma = scatterOf(y);
  const still = evidence(
    off,
    ordered.map(({ day }) => [1, season(day)]),
    [LEVEL_SIGMA, SEASON_SIGMA],
    sigma,
  );
  const places = ordered.length - 2 * LEAST_SIDE + 1;
  let best: { at: number; fit: ReturnType<typeof evidence> } | null = null;
  let total = 0;
  for (let at = LEAST_SIDE; at <= ordered.length - LEAST_SIDE; at += 1) {
    const fit = evidence(
      off,
      ordered.map(({ day }, index) => [1, season(day), index >= at ? 1 : 0]),
      [LEVEL_SIGMA, SEASON_SIGMA, CHANGE_SIGMA],
      sigma,
    );
    total += Math.exp(Math.min(500, fit.log - still.log)) / places;
    if (!best || fit.log > best.fit.log) best = { at, fit };
  }
  if (!best) return null;
  const odds = Math.log(total) + PRIOR_ODDS;
  const [before, after] = [ordered[best.at - 1]?.day ?? 0, ordered[best.at]?.day ?? 0];
  return {
    sinceDay: (before + after) / 2,
    factor: Math.exp(best.fit.means[2] ?? 0),
    odds,
    sureness: chanceOfOdds(odds),
  };
}

/** Scatter of neighbours about each other: a change for good touches one of their differences only. */
function scatterOf(y: readonly number[]): number {
  const steps = y.slice(1).map((one, index) => Math.abs(one - (y[index] ?? one)));
  const middle = steps.sort((a, b) => a - b)[Math.floor((steps.length - 1) / 2)] ?? 0;
  // Median of |difference| of two normals over √2.
  return Math.max(LEAST_SCATTER, middle / (0.6745 * Math.SQRT2));
}

/**
 * Log evidence and posterior means of `y = X·b + ε` with independent normal priors about 0 on b: by adding one point
 * after the other (recursive least squares), so that no matrix is turned over.
 */
function evidence(
  y: readonly number[],
  rows: readonly (readonly number[])[],
  priors: readonly number[],
  sigma: number,
) {
  const means = priors.map(() => 0);
  const covariance = priors.map((sd, i) => priors.map((_, j) => (i === j ? sd * sd : 0)));
  let log = 0;
  for (const [index, row] of rows.entries()) {
    const spread = covariance.map((line) => line.reduce((sum, one, j) => sum + one * (row[j] ?? 0), 0));
    const variance = sigma * sigma + spread.reduce((sum, one, i) => sum + one * (row[i] ?? 0), 0);
    const miss = (y[index] ?? 0) - means.reduce((sum, one, i) => sum + one * (row[i] ?? 0), 0);
    log -= 0.5 * (Math.log(2 * Math.PI * variance) + (miss * miss) / variance);
    for (const [i, gain] of spread.entries()) {
      means[i] = (means[i] ?? 0) + (gain * miss) / variance;
      const line = covariance[i] ?? [];
      for (const [j, other] of spread.entries()) line[j] = (line[j] ?? 0) - (gain * other) / variance;
    }
  }
  return { log, means };
}
