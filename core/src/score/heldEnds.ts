import { groupBy } from '../sums/groupBy';
import { normalQuantile } from '../sums/normal';
import { isNarrow, type HeldUp } from '../trends/heldUp';
import { shrunkWidth, type Calibration } from '../wear/calibration';
import type { Judgement } from './judge';
import { holds } from './loss';
import { STORED_CHANCES } from './storedForecast';
import { wholePart } from './wholePart';

/** No width is learned from ends where so many parts were renewed before theirs: those that came to it are the fast ones. */
const MOST_REPLACED = 0.5;
/** Weight of trust in the model itself, in parts; and the widest that ranges are told. */
const TRUST = 12;
const WIDEST = 2;

const partOf = ({ forecast: { vehicleId, point, part } }: Judgement) => `${vehicleId} ${point} ${wholePart(part)}`;

/**
 * How often the ranges that were shown held, part by part: forecasts of one part hold and fail together, so each part
 * counts once.
 */
export function heldUp(judged: readonly Judgement[]): HeldUp {
  const parts = [...groupBy(arrivedOf(judged), partOf).values()];
  const shares = parts.map(
    (ones) => ones.filter(({ forecast, left }) => holds(forecast.shown.distance, left)).length / ones.length,
  );
  return {
    parts: parts.length,
    held: shares.length === 0 ? null : shares.reduce((sum, one) => sum + one, 0) / shares.length,
  };
}

const arrivedOf = (judged: readonly Judgement[]) => judged.filter(({ fate }) => fate === 'arrived');

/**
 * How wide a kind's ranges must be told by where its parts came to their end, in what the model had said; null where they
 * held, or where the house renews too many before their end to learn from those that came to it.
 */
export function widthOfEnds(judged: readonly Judgement[]): Calibration | null {
  const parts = [...groupBy(arrivedOf(judged), partOf).values()];
  const replaced = new Set(judged.filter(({ fate }) => fate === 'replaced').map(partOf)).size;
  if (!isNarrow(heldUp(judged)) || replaced > MOST_REPLACED * (parts.length + replaced)) return null;
  const misses = parts.flatMap((ones) =>
    ones.map((one) => ({ size: Math.abs(normalQuantile(chanceOf(one))), weight: 1 / ones.length })),
  );
  return { scored: parts.length, width: Math.min(WIDEST, shrunkWidth(misses, TRUST)) };
}

/** The chance the model had given to an end by where it came. */
function chanceOf({ forecast: { distanceSteps }, left }: Judgement): number {
  const after = distanceSteps.findIndex((step) => step === null || step >= left);
  // Between two steps the middle; before the first and after the last as far out again.
  const [below, above] = after === -1 ? [STORED_CHANCES.at(-1), 1] : [STORED_CHANCES[after - 1], STORED_CHANCES[after]];
  return ((below ?? 0) + (above ?? 1)) / 2;
}
