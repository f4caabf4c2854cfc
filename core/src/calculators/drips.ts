/** Drops of oil or coolant in a millilitre, about. */
const DROPS_PER_ML = 20;

/** What a counted drip loses, and how long what is there lasts. */
export interface DripLoss {
  readonly mlPerHour: number;
  readonly mlPerDay: number;
  /** Days until what stands above the minimum is gone; null when that is not known or nothing drips. */
  readonly daysToMinimum: number | null;
}

/**
 * What counted drops lose. 20 drops are about 1 mL.
 *
 * @param dropsPerMinute 0 or more
 * @param hoursPerDay hours a day it drips: 24, or those the engine runs when it drips only then
 * @param aboveMinimumL litres between now and the minimum; null when not known
 */
export function dripLoss(dropsPerMinute: number, hoursPerDay: number, aboveMinimumL: number | null): DripLoss {
  const mlPerHour = (dropsPerMinute * 60) / DROPS_PER_ML;
  const mlPerDay = mlPerHour * hoursPerDay;
  const daysToMinimum = aboveMinimumL === null || mlPerDay <= 0 ? null : (aboveMinimumL * 1000) / mlPerDay;
  return { mlPerHour, mlPerDay, daysToMinimum };
}

/** Drops per minute from the times of taps, ms: from first to last, so two taps are one interval. Null with fewer than two. */
export function dropRate(tapsMs: readonly number[]): number | null {
  const [first] = tapsMs;
  const last = tapsMs.at(-1);
  if (first === undefined || last === undefined || last <= first) return null;
  return ((tapsMs.length - 1) / (last - first)) * 60_000;
}
