import { groupBy } from '../sums/groupBy';
import { LEAST_POWER, MOST_POWER, STRAIGHT, straightened, stretchAt, type DepthCurve } from './depthCurve';
import type { PartHistory } from './fleetRates';
import { NOTHING_GAUGES } from './wearFilter';

/** How far from straight anybody expects a power, standard deviation. */
const POWER_SIGMA = 0.35;
/** Less than this bend is none. */
const STRAIGHT_WITHIN = 0.03;
const LEAST_READINGS = 3;
const LEAST_PARTS = 12;
/** A part bent more than this many times the usual is a misread or a fault: it counts as so much only. */
const FARTHEST = 1;
const ROUNDS = 24;

/** A part's readings with what each adds to the bend that is left in them. */
interface Bend {
  readonly vehicle: string;
  readonly points: readonly { readonly y: number; readonly u: number; readonly by: number }[];
}

/**
 * How wear goes with depth: the power at which the parts' own readings lie on straight lines, judged by the quadratic
 * contrast of each part, so that neither its rate, its start nor the gauge's constant error matters; drawn to straight by
 * how uncertain it is between vehicles (sandwich, Huber 1967). Parts with three readings and more count.
 */
export function learnCurve(parts: readonly PartHistory[]): DepthCurve {
  const bends = parts.flatMap((part) => bendOf(part) ?? []);
  if (bends.length < LEAST_PARTS) return STRAIGHT;
  const values = bends.flatMap(({ points }) => points.map(({ y }) => y)).sort((a, b) => a - b);
  const middle = Math.max(0.1, Number((values[Math.floor(values.length / 2)] ?? 1).toPrecision(2)));
  const left = (power: number) => bends.map((bend) => ({ vehicle: bend.vehicle, by: leftIn(bend, { power, middle }) }));
  const sumAt = (power: number) => sumOf(clipped(left(power)));
  let [low, high] = [LEAST_POWER, MOST_POWER];
  const rises = sumAt(high) > sumAt(low);
  for (let round = 0; round < ROUNDS; round += 1) {
    const half = (low + high) / 2;
    if (sumAt(half) > 0 === rises) high = half;
    else low = half;
  }
  const power = (low + high) / 2;
  const slope = (sumAt(power + 0.05) - sumAt(power - 0.05)) / 0.1;
  const byVehicle = [...groupBy(clipped(left(power)), ({ vehicle }) => vehicle).values()].map(sumOf);
  const error = Math.sqrt(byVehicle.reduce((sum, one) => sum + one * one, 0)) / Math.max(1e-9, Math.abs(slope));
  const told = power / (1 + (error / POWER_SIGMA) ** 2);
  const spread = 1 / Math.hypot(1 / error, 1 / POWER_SIGMA);
  return Math.abs(told) < STRAIGHT_WITHIN && spread < STRAIGHT_WITHIN ? STRAIGHT : { power: told, middle, spread };
}

const sumOf = (ones: readonly { readonly by: number }[]) => ones.reduce((sum, { by }) => sum + by, 0);

function clipped<T extends { readonly by: number }>(ones: readonly T[]): T[] {
  const sizes = ones.map(({ by }) => Math.abs(by)).sort((a, b) => a - b);
  const most = FARTHEST * 1.5 * (sizes[Math.floor(sizes.length / 2)] ?? 0);
  return ones.map((one) => ({ ...one, by: Math.min(most, Math.max(-most, one.by)) }));
}

/** What bends a part's readings, straightened by a curve: none on average where the curve is right. */
function leftIn({ points }: Bend, curve: DepthCurve): number {
  return points.reduce((sum, { y, u, by }) => {
    const at = Math.max(y, u);
    // The mean of bent noise is not the bend of its mean: half its second derivative times its variance.
    const noise = (0.5 * curve.power * stretchAt(curve, at) * u * u) / at;
    return sum + by * (straightened(curve, y) + noise);
  }, 0);
}

/** The quadratic contrast over a part's exact readings: what is left of x² beside a line; null where they are too few or too close. */
function bendOf({ vehicle, readings }: PartHistory): Bend | null {
  // What may be worn through tells no wear.
  const exact = readings.filter(({ bound, y, u }) => bound === 'exact' && y > NOTHING_GAUGES * u);
  const [first, last] = [exact[0], exact.at(-1)];
  if (exact.length < LEAST_READINGS || !first || !last || !(last.x > first.x)) return null;
  const xs = exact.map(({ x }) => (x - first.x) / (last.x - first.x));
  const squares = xs.map((x) => x * x);
  const n = xs.length;
  const [meanX, meanSquare] = [xs, squares].map((list) => list.reduce((sum, one) => sum + one, 0) / n) as [
    number,
    number,
  ];
  const spread = xs.reduce((sum, x) => sum + (x - meanX) ** 2, 0);
  const slope = xs.reduce((sum, x, index) => sum + (x - meanX) * ((squares[index] ?? 0) - meanSquare), 0) / spread;
  return {
    vehicle,
    points: exact.map(({ y, u }, index) => ({
      y,
      u,
      by: (squares[index] ?? 0) - meanSquare - slope * ((xs[index] ?? 0) - meanX),
    })),
  };
}
