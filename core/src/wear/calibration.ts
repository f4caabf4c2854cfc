import { normalCdf, normalQuantile } from '../sums/normal';

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
