/** One-sided 95 % point of the normal distribution, the coverage of a close call (JCGM 106:2012). */
export const CLOSE_CALL_FACTOR = 1.645;

/** How fine a gauge reads and how well its readings repeat (one standard deviation), in the unit it reads. */
export interface Gauge {
  readonly step: number;
  readonly repeatability: number;
}

/**
 * Standard uncertainty of the mean of `n` readings, in the measure's unit: `√(step²/12 + repeatability²/n)`.
 * The gauge's step is common to repeats and does not average out. `n` ≥ 1.
 */
export function standardUncertainty(gauge: Gauge, n: number): number {
  if (!(n >= 1)) throw new RangeError(`uncertainty needs at least one reading, got ${n}`);
  return Math.sqrt(gauge.step ** 2 / 12 + gauge.repeatability ** 2 / n);
}
