import { normalCdf, normalQuantile } from '../sums/normal';
import { STRAIGHT, bent, stretchAt } from './depthCurve';
import {
  WearFilter,
  gridOf,
  type Fitted,
  type Grid,
  type Nodes,
  type RatePrior,
  type WearBelief,
  type WearReading,
} from './wearFilter';

/**
 * What a part's readings say of its rate and of what is left, in the order they were taken. The rate may change for good
 * between readings; a misread is given up for one; a bound counts as the inequality it is. Deterministic.
 *
 * @param readings in order of x; two at one x are two looks at the same thing
 */
export function believe(prior: RatePrior, fitted: Fitted | null, readings: readonly WearReading[]): WearBelief {
  return follow(gridOf(prior), prior, fitted, readings);
}

/** How one reading lay in what was believed some looks before it. */
export interface Surprise {
  readonly x: number;
  /** Standard deviations of a normal at the same share: near 0 as expected, negative for less than that. */
  readonly z: number;
  /** Share of the spread expected that is not the gauge's own, 0 to 1. */
  readonly own: number;
}

/** How many looks ahead what is told is held against: ranges are told of long ways, and the next look is near. */
const LOOKS_AHEAD = 3;

/** How every exact reading lay in what had been told some looks before; a part known from new was told of at its start. */
export function surprises(prior: RatePrior, fitted: Fitted | null, readings: readonly WearReading[]): Surprise[] {
  const found: Surprise[] = [];
  const filter = WearFilter.of(gridOf(prior), prior, fitted, readings[0]);
  const told = fitted ? [filter.copy()] : [];
  for (const reading of readings) {
    filter.take(reading);
    told.push(filter.copy());
    const then = reading.bound === 'exact' ? told.at(-1 - LOOKS_AHEAD) : undefined;
    then?.copy().take(reading, (at, belief) => found.push(surpriseOf(at, prior, belief)));
  }
  return found;
}

function surpriseOf({ x, y, u }: WearReading, { curve = STRAIGHT, handU }: RatePrior, nodes: Nodes): Surprise {
  const { weights, means, variances } = nodes;
  const sound = u * u + handU * handU;
  let [share, mean, square] = [0, 0, 0];
  for (let node = 0; node < weights.length; node += 1) {
    const weight = weights[node] ?? 0;
    const expected = bent(curve, means[node] ?? 0);
    const variance = (variances[node] ?? 0) / stretchAt(curve, expected) ** 2;
    share += weight * normalCdf((y - expected) / Math.sqrt(variance + sound));
    mean += weight * expected;
    square += weight * (variance + expected * expected);
  }
  const spread = Math.max(0, square - mean * mean);
  return { x, z: normalQuantile(share), own: spread / (spread + sound) };
}

function follow(grid: Grid, prior: RatePrior, fitted: Fitted | null, readings: readonly WearReading[]): WearBelief {
  const filter = WearFilter.of(grid, prior, fitted, readings[0]);
  for (const reading of readings) filter.take(reading);
  return filter.belief();
}

/** How likely a part's readings are at each rate: log rates and weights that sum to one. */
export interface RateLikelihood {
  readonly logs: Float64Array;
  readonly weights: Float64Array;
}

/** Log rates the likelihood is told for: this far to either side of what is built in. */
const FAR_LOG = 2.8;
const LOG_NODES = 72;
const levels = new Map<number, Grid & Pick<RateLikelihood, 'logs'>>();

/**
 * How likely readings are at each rate, nothing believed beforehand and the rate taken to hold.
 *
 * @param given around which log rate, how far hands differ, and how wear goes with depth
 */
export function rateLikelihood(
  given: { readonly base: number } & Pick<RatePrior, 'handU' | 'curve' | 'newOff'>,
  fitted: Fitted | null,
  readings: readonly WearReading[],
): RateLikelihood {
  const grid = levels.get(given.base) ?? levelGrid(given.base);
  levels.set(given.base, grid);
  const { weights } = follow(grid, { ...given, mu: given.base, sigma: FAR_LOG, changes: 0 }, fitted, readings);
  return { logs: grid.logs, weights };
}

function levelGrid(base: number): Grid & Pick<RateLikelihood, 'logs'> {
  const rates = new Float64Array(LOG_NODES).map((_, node) =>
    Math.exp(base + FAR_LOG * ((2 * node) / (LOG_NODES - 1) - 1)),
  );
  const weights = new Float64Array(LOG_NODES).fill(1 / LOG_NODES);
  return { rates, weights, changed: weights, logs: rates.map(Math.log) };
}

/** The straightened value believed at the last reading and the rate: means, standard deviations and how they go together. */
export function stateOf({ rates, weights, means, variances }: WearBelief) {
  let [value, square, rate, rateSquare, both] = [0, 0, 0, 0, 0];
  for (let node = 0; node < rates.length; node += 1) {
    const [weight, mean, speed] = [weights[node] ?? 0, means[node] ?? 0, rates[node] ?? 0];
    value += weight * mean;
    square += weight * ((variances[node] ?? 0) + mean * mean);
    rate += weight * speed;
    rateSquare += weight * speed * speed;
    both += weight * mean * speed;
  }
  return {
    value,
    valueSd: Math.sqrt(Math.max(0, square - value * value)),
    rate,
    rateSd: Math.sqrt(Math.max(0, rateSquare - rate * rate)),
    covariance: both - value * rate,
  };
}
