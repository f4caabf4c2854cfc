/**
 * How wear goes with what is left of a part: at depth y it is as fast as at the middle times (y / middle) ^ power. Over 0
 * it slows as the part gets thin, as tread blocks get stiffer; under 0 it speeds up; 0 is a straight line.
 */
export interface DepthCurve {
  /** Under 1. */
  readonly power: number;
  /** Over 0, unit of y: where a straightened value is the value itself. */
  readonly middle: number;
}

export const STRAIGHT: DepthCurve = { power: 0, middle: 1 };

/** Nearer nothing than this share of the middle, or farther above it, nobody has seen how wear goes: straight on from there. */
const [LEAST, MOST] = [0.15, 2.5];

const clamped = (share: number) => Math.min(MOST, Math.max(LEAST, share));

/** How much a straightened value changes for one unit of y, there: over 0. */
export function stretchAt({ power, middle }: DepthCurve, y: number): number {
  return power === 0 ? 1 : clamped(y / middle) ** -power;
}

/** A value on the scale on which this wear is a straight line; rises with y, and back by {@link bent}. */
export function straightened(curve: DepthCurve, y: number): number {
  const { power, middle } = curve;
  if (power === 0) return y;
  const share = clamped(y / middle);
  const at = middle + (middle * (share ** (1 - power) - 1)) / (1 - power);
  return at + (y - share * middle) * stretchAt(curve, y);
}

/** The value that stands for a straightened one: the other way round of {@link straightened}. */
export function bent(curve: DepthCurve, straight: number): number {
  const { power, middle } = curve;
  if (power === 0) return straight;
  const [low, high] = [LEAST * middle, MOST * middle];
  const [from, to] = [straightened(curve, low), straightened(curve, high)];
  if (straight < from) return low + (straight - from) / stretchAt(curve, low);
  if (straight > to) return high + (straight - to) / stretchAt(curve, high);
  return middle * (1 + ((straight - middle) * (1 - power)) / middle) ** (1 / (1 - power));
}
