import type { Range } from '../trends/forecast';

/** Quantiles a forecast is judged at. */
export const JUDGED = [0.1, 0.5, 0.9] as const;

/** Pinball loss of one quantile (Koenker and Bassett 1978): the unit of what is forecast. */
export function pinball(quantile: number, forecast: number, truth: number): number {
  return truth >= forecast ? quantile * (truth - forecast) : (1 - quantile) * (forecast - truth);
}

/** Mean pinball loss over the judged quantiles. */
export function meanPinball(quantiles: readonly number[], truth: number): number {
  return (
    JUDGED.reduce((sum, quantile, index) => sum + pinball(quantile, quantiles[index] ?? NaN, truth), 0) / JUDGED.length
  );
}

/** Value at a share of a sample, between neighbours; NaN of none. */
export function quantileOf(sample: readonly number[], share: number): number {
  const sorted = [...sample].sort((a, b) => a - b);
  const at = share * (sorted.length - 1);
  const low = sorted[Math.floor(at)] ?? NaN;
  return low + ((sorted[Math.ceil(at)] ?? NaN) - low) * (at - Math.floor(at));
}

/** Whether a truth came within a range as shown. */
export const holds = ({ low, high }: Range, truth: number): boolean => truth >= low && (high === null || truth <= high);
