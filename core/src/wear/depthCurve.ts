/**
 * How wear goes with what is left of a part: at depth y it is as fast as at the middle times (y / middle) ^ power. Over 0
 * it slows as the part gets thin, as tread blocks get stiffer; under 0 it speeds up; 0 is a straight line.
 */
export interface DepthCurve {
  /** Under 1. */
  readonly power: number;
  /** Over 0, unit of y: where a straightened value is the value itself. */
  readonly middle: number;
  /** How far the power may be off, one standard deviation; left out where it is as good as known. */
  readonly spread?: number;
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

/** Where a curve goes straight on. */
interface Ends {
  readonly from: number;
  readonly to: number;
  readonly stretchLow: number;
  readonly stretchHigh: number;
}
const ends = new WeakMap<DepthCurve, Ends>();

function endsOf(curve: DepthCurve): Ends {
  const known = ends.get(curve);
  if (known) return known;
  const [low, high] = [LEAST * curve.middle, MOST * curve.middle];
  const found: Ends = {
    from: straightened(curve, low),
    to: straightened(curve, high),
    stretchLow: stretchAt(curve, low),
    stretchHigh: stretchAt(curve, high),
  };
  ends.set(curve, found);
  return found;
}

/** The value that stands for a straightened one: the other way round of {@link straightened}. */
export function bent(curve: DepthCurve, straight: number): number {
  const { power, middle } = curve;
  if (power === 0) return straight;
  const { from, to, stretchLow, stretchHigh } = endsOf(curve);
  if (straight < from) return LEAST * middle + (straight - from) / stretchLow;
  if (straight > to) return MOST * middle + (straight - to) / stretchHigh;
  return middle * (1 + ((straight - middle) * (1 - power)) / middle) ** (1 / (1 - power));
}

/** A curve between straightened values as near each other as this share of its length, so that nothing is raised to a power there. */
const STEPS = 512;

/** {@link bent} and {@link stretchAt} looked up: for what asks for them at every node of a grid. */
export class BentCurve {
  private readonly values = new Float64Array(STEPS + 1);
  private readonly stretches = new Float64Array(STEPS + 1);
  private readonly from: number;
  private readonly perUnit: number;
  /** Of the last {@link at}: the value there, and how much a straightened value changes for one unit of it. */
  value = 0;
  stretch = 1;

  constructor(private readonly curve: DepthCurve) {
    const { from, to } = curve.power === 0 ? { from: 0, to: 0 } : endsOf(curve);
    this.from = from;
    this.perUnit = curve.power === 0 ? 0 : STEPS / (to - from);
    for (let step = 0; step <= STEPS && this.perUnit > 0; step += 1) {
      const value = bent(curve, from + step / this.perUnit);
      this.values[step] = value;
      this.stretches[step] = stretchAt(curve, value);
    }
  }

  /** Looks up a straightened value: {@link value} and {@link stretch} are told of it from then on. */
  at(straight: number): void {
    const place = (straight - this.from) * this.perUnit;
    if (this.perUnit === 0 || !(place >= 0 && place < STEPS)) {
      this.value = bent(this.curve, straight);
      this.stretch = stretchAt(this.curve, this.value);
      return;
    }
    const step = Math.floor(place);
    const share = place - step;
    this.value = (1 - share) * (this.values[step] ?? 0) + share * (this.values[step + 1] ?? 0);
    this.stretch = (1 - share) * (this.stretches[step] ?? 1) + share * (this.stretches[step + 1] ?? 1);
  }
}

const bends = new WeakMap<DepthCurve, BentCurve>();

/** A curve as a table; the same for every part under it. */
export function bentCurve(curve: DepthCurve): BentCurve {
  const known = bends.get(curve) ?? new BentCurve(curve);
  bends.set(curve, known);
  return known;
}

/** Powers that are looked for lie between these. */
export const [LEAST_POWER, MOST_POWER] = [-0.8, 0.85];
/** Under this a power is as good as known. */
const LEAST_SPREAD = 0.05;
/** A curve that wear may follow, and how likely that is. */
export interface PerhapsCurve {
  readonly curve: DepthCurve;
  readonly share: number;
}
const perhaps = new WeakMap<DepthCurve, readonly PerhapsCurve[]>();

/** The curves that one may be in truth: three points of a normal about its power (Gauss and Hermite), or itself where it is known. */
export function perhapsCurves(curve: DepthCurve): readonly PerhapsCurve[] {
  const known = perhaps.get(curve);
  if (known) return known;
  const { power, middle, spread = 0 } = curve;
  const off = Math.sqrt(3) * spread;
  const at = (by: number, share: number) => ({
    curve: { power: Math.min(MOST_POWER, Math.max(LEAST_POWER, power + by)), middle },
    share,
  });
  const curves = spread < LEAST_SPREAD ? [{ curve, share: 1 }] : [at(-off, 1 / 6), at(0, 2 / 3), at(off, 1 / 6)];
  perhaps.set(curve, curves);
  return curves;
}
