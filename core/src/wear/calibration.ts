import { HALF_80, normalCdf, normalQuantile } from '../sums/normal';

/** How much wider, or narrower, a kind's ranges must be told than the model has them so that they hold. */
export interface Calibration {
  /** Readings it was learned from. */
  readonly scored: number;
  /** Over 0; 1 where the model's own ranges hold. The middle stays where it is. */
  readonly width: number;
}

export const UNCALIBRATED: Calibration = { scored: 0, width: 1 };

const NEAREST = 0.001;

/** The chance to ask the model for, so that the answer holds `wanted`, 0 to 1. Never falls as `wanted` rises; a half stays a half. */
export function askFor({ width }: Calibration, wanted: number): number {
  if (width === 1) return wanted;
  return Math.min(1 - NEAREST, Math.max(NEAREST, normalCdf(width * normalQuantile(wanted))));
}

/** What a chance of the model is worth by what has been seen: the other way round of {@link askFor}. */
export function worth({ width }: Calibration, chance: number): number {
  return width === 1 || chance <= 0 || chance >= 1 ? chance : normalCdf(normalQuantile(chance) / width);
}

/** The same, never narrower than the model has them. */
export const neverNarrower = (calibration: Calibration): Calibration =>
  calibration.width < 1 ? UNCALIBRATED : calibration;

/** How far out a truth came, in standard deviations of what was told, and how much that counts. */
export interface Miss {
  readonly size: number;
  readonly weight: number;
}

/**
 * How wide ranges must be told so that 80 % of the truths come within them, drawn to the model's own by how much it is
 * trusted.
 *
 * @param trust in the weights' unit
 * @param least narrowest that is believed of what missed so
 */
export function shrunkWidth(misses: readonly Miss[], trust: number, least = 1): number {
  const ordered = [...misses].sort((a, b) => a.size - b.size);
  const total = ordered.reduce((sum, { weight }) => sum + weight, 0);
  let sum = 0;
  const at = ordered.find(({ weight }) => (sum += weight) >= 0.8 * total)?.size ?? HALF_80;
  return Math.exp((Math.log(Math.max(least, at / HALF_80)) * total) / (total + trust));
}
