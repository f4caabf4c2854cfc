import { MEASURES, type MeasureCode } from '../catalogue/measures';

/** Second readings of one thing by one hand, pooled. */
export interface Repeats {
  readonly measure: MeasureCode;
  /** Times it was read twice or more; a third reading counts once more. */
  readonly pairs: number;
  /** Standard deviation of one reading about their mean, its step and all, stored unit. */
  readonly sigma: number;
}

/** The usual gauge's repeatability is worth this many pairs of the house's own. */
const TRUST = 10;
/** Fewer tell nothing of a house. */
const LEAST_PAIRS = 10;
/** Nearer than this to what is graded by, nothing is gained by changing it. */
const LEAST_CHANGE = 0.1;

/**
 * What a house may grade by: its own repeats, drawn to the usual gauge by how few they are (variances weighed by their
 * degrees of freedom).
 *
 * @param gradedBy what is graded by now, stored unit
 * @returns null where the repeats are too few, or say what is graded by already
 */
export function offeredRepeatability({ measure, pairs, sigma }: Repeats, gradedBy: number): number | null {
  if (pairs < LEAST_PAIRS || !(sigma >= 0)) return null;
  const { repeatability: usual, step } = MEASURES[measure];
  if (usual === 0) return null;
  // Readings scatter by their step as well, and the step is counted by itself.
  const seen = Math.max(0, sigma ** 2 - step ** 2 / 12);
  const own = Math.sqrt((TRUST * usual ** 2 + pairs * seen) / (TRUST + pairs));
  return Math.abs(own / gradedBy - 1) < LEAST_CHANGE ? null : Number(own.toPrecision(2));
}
