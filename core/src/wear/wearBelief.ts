import { firstAtLeast } from '../sums/firstAtLeast';
import { normalCdf, normalQuantile } from '../sums/normal';
import { STRAIGHT, bent, straightened, stretchAt, type DepthCurve } from './depthCurve';

/** What is known of a part's wear rate before it is read: log-normal, per 1000 km, h or month. */
export interface RatePrior {
  /** Mean of the log rate. */
  readonly mu: number;
  /** Standard deviation of the log rate. */
  readonly sigma: number;
  /** How often a rate changes for good, per 1000 km: a new route, another driver, a fault. */
  readonly changes: number;
  /** Standard deviation of what a reading is off beyond its own `u`: hands differ. */
  readonly handU: number;
  /** How wear goes with depth; straight where it is not told. The rate is the one at its middle. */
  readonly curve?: DepthCurve;
}

/** A reading of wear with how far it may be off. */
export interface WearReading {
  /** Thousands of km (or h, or months) since any fixed moment; never falling. */
  readonly x: number;
  readonly y: number;
  /** Standard uncertainty, unit of y. */
  readonly u: number;
  /** A bound is an inequality: the truth lies above or below `y`. */
  readonly bound: 'exact' | 'above' | 'below';
}

/** Where and how a part began; null when nobody knows. */
export interface Fitted {
  readonly x: number;
  readonly fresh: number;
  readonly sigma: number;
}

/**
 * What is believed of one part after its readings: a grid of wear rates, each with its weight and a normal belief of the
 * value left at `x`. Rates and values are on the scale on which wear is straight, see {@link DepthCurve}.
 */
export interface WearBelief {
  readonly x: number;
  readonly rates: Float64Array;
  readonly weights: Float64Array;
  readonly means: Float64Array;
  readonly variances: Float64Array;
  readonly prior: RatePrior;
  readonly readings: number;
  /** How unlikely the last reading was beside one that fits, 0 to 1: near 1 it is odd. */
  readonly odd: number;
  /** Log likelihood of all readings, per unit of y: how well this prior tells what came. */
  readonly fit: number;
}

/** Nodes of the grid: from well under the mean to a rate four times and more above it. */
const NODES = 56;
const [LOWEST, HIGHEST] = [-1.35, 1.7];
/** A misread: one reading in fifty, off by about this many gauges and half a unit. */
const ODD_SHARE = 0.02;
const ODD_GAUGES = 4;
const ODD_UNITS = 0.6;
/** A rate after a change: as wide as this about the prior, in log units. */
const CHANGED_SIGMA = 0.55;
/** Share of the prior that is as wide as a changed rate: some parts are unlike any of their kind. */
const UNLIKE_SHARE = 0.08;
/** Looks this near each other, unit of x, are off by the same: each more counts for less. */
const NEAR = 0.15;
/** What is read of a part worn through is within so many gauges of nothing. */
export const NOTHING_GAUGES = 2.5;
const LEAST_WEIGHT = 1e-12;
/** Start of a part nobody saw new: anything. */
const UNKNOWN_SIGMA = 6;

interface Grid {
  readonly rates: Float64Array;
  readonly weights: Float64Array;
  readonly changed: Float64Array;
}
const grids = new WeakMap<RatePrior, Grid>();

/** The grid of a prior; the same for every part under it. */
function gridOf(prior: RatePrior): Grid {
  const known = grids.get(prior);
  if (known) return known;
  const [rates, weights, changed] = [new Float64Array(NODES), new Float64Array(NODES), new Float64Array(NODES)];
  let [sumWeights, sumChanged] = [0, 0];
  for (let node = 0; node < NODES; node += 1) {
    const off = LOWEST + ((HIGHEST - LOWEST) * node) / (NODES - 1);
    const density = (sigma: number) => Math.exp(-0.5 * (off / sigma) ** 2) / sigma;
    const spread = Math.hypot(prior.sigma, CHANGED_SIGMA);
    rates[node] = Math.exp(prior.mu + off);
    weights[node] = (1 - UNLIKE_SHARE) * density(prior.sigma) + UNLIKE_SHARE * density(spread);
    changed[node] = density(spread);
    sumWeights += weights[node] ?? 0;
    sumChanged += changed[node] ?? 0;
  }
  for (let node = 0; node < NODES; node += 1) {
    weights[node] = (weights[node] ?? 0) / sumWeights;
    changed[node] = (changed[node] ?? 0) / sumChanged;
  }
  const grid = { rates, weights, changed };
  grids.set(prior, grid);
  return grid;
}

/**
 * What a part's readings say of its rate and of what is left, in the order they were taken. The rate may change for good
 * between readings; a misread is given up for one; a bound counts as the inequality it is. Deterministic.
 *
 * Each rate of the grid carries a Kalman filter for the value (R. Kalman 1960); the filters are mixed where rates may
 * change (generalised pseudo-Bayes of first order, Ackerson and Fu 1970).
 *
 * @param readings in order of x; two at one x are two looks at the same thing
 */
export function believe(prior: RatePrior, fitted: Fitted | null, readings: readonly WearReading[]): WearBelief {
  return follow(gridOf(prior), prior, fitted, readings);
}

/** How one reading lay in what was believed before it. */
export interface Surprise {
  readonly x: number;
  /** Standard deviations of a normal at the same share: near 0 as expected, negative for less than that. */
  readonly z: number;
  /** Share of the spread expected that is not the gauge's own, 0 to 1. */
  readonly own: number;
}

/** How every exact reading lay in what those before it had told; none for the first of a part nobody knew. */
export function surprises(prior: RatePrior, fitted: Fitted | null, readings: readonly WearReading[]): Surprise[] {
  const found: Surprise[] = [];
  let known = fitted !== null;
  follow(gridOf(prior), prior, fitted, readings, (reading, belief) => {
    if (known && reading.bound === 'exact') found.push(surpriseOf(reading, prior, belief));
    known = true;
  });
  return found;
}

type Nodes = Pick<WearBelief, 'weights' | 'means' | 'variances'>;

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

function follow(
  grid: Grid,
  prior: RatePrior,
  fitted: Fitted | null,
  readings: readonly WearReading[],
  before?: (reading: WearReading, nodes: Nodes) => void,
): WearBelief {
  const { rates } = grid;
  const weights = grid.weights.slice();
  const means = new Float64Array(rates.length);
  const variances = new Float64Array(rates.length);
  const first = readings[0];
  let x = fitted?.x ?? first?.x ?? 0;
  const curve = prior.curve ?? STRAIGHT;
  const start = fitted?.fresh ?? first?.y ?? 0;
  means.fill(straightened(curve, start));
  variances.fill(((fitted?.sigma ?? UNKNOWN_SIGMA) * stretchAt(curve, start)) ** 2);
  let [odd, fit, counted, again] = [0, 0, 0, 0];
  for (const told of readings) {
    const reading = atNothing(told, prior.handU) ?? told;
    const gone = Math.max(0, reading.x - x);
    again = counted > 0 && gone < NEAR ? again + 1 : 0;
    counted += 1;
    x = reading.x;
    if (gone > 0) move(grid, weights, means, variances, gone, prior.changes);
    before?.(reading, { weights, means, variances });
    if (reading.bound === 'exact') {
      const u = Math.hypot(reading.u, prior.handU) * Math.sqrt(1 + again);
      const seen = look(weights, means, variances, { y: reading.y, u, curve });
      odd = seen.odd;
      fit += seen.fit;
    } else {
      const u = reading.u * stretchAt(curve, reading.y);
      odd = bound(weights, means, variances, { ...reading, y: straightened(curve, reading.y), u });
    }
  }
  return { x, rates, weights, means, variances, prior, readings: readings.length, odd, fit };
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
  given: { readonly base: number } & Pick<RatePrior, 'handU' | 'curve'>,
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

/** What a gauge cannot tell from nothing says only that there is no more: a part worn through wears no further. */
function atNothing({ x, y, u, bound: told }: WearReading, handU: number): WearReading | null {
  const spread = Math.hypot(u, handU);
  const nothing = NOTHING_GAUGES * spread;
  return told === 'exact' && y <= nothing ? { x, y: nothing, u: spread, bound: 'below' } : null;
}

/** Wear over a distance, a change of rate allowed somewhere on the way. */
function move(
  grid: Grid,
  weights: Float64Array,
  means: Float64Array,
  variances: Float64Array,
  gone: number,
  changes: number,
): void {
  const { rates, changed } = grid;
  const chance = 1 - Math.exp(-changes * gone);
  let [mean, square, worn, wornSquare] = [0, 0, 0, 0];
  for (let node = 0; node < weights.length; node += 1) {
    const weight = weights[node] ?? 0;
    const was = means[node] ?? 0;
    const loss = (rates[node] ?? 0) * gone;
    mean += weight * was;
    square += weight * ((variances[node] ?? 0) + was * was);
    worn += weight * loss;
    wornSquare += weight * loss * loss;
    means[node] = was - loss;
  }
  if (chance < 1e-9) return;
  const variance = Math.max(0, square - mean * mean);
  const wornVariance = Math.max(0, wornSquare - worn * worn);
  for (let node = 0; node < weights.length; node += 1) {
    const stay = (1 - chance) * (weights[node] ?? 0);
    const come = chance * (changed[node] ?? 0);
    const total = stay + come;
    const share = come / total;
    // Changed half-way on average: half the distance at the old rate, half at the new.
    const own = means[node] ?? 0;
    const loss = (rates[node] ?? 0) * gone;
    const theirs = mean - (worn + loss) / 2;
    const theirVariance = variance + wornVariance / 4 + (worn - loss) ** 2 / 12;
    const joined = own + share * (theirs - own);
    variances[node] =
      (1 - share) * ((variances[node] ?? 0) + (own - joined) ** 2) + share * (theirVariance + (theirs - joined) ** 2);
    means[node] = joined;
    weights[node] = total;
  }
}

/** One reading, or a misread. A gauge is off in millimetres, wherever the part is: told on the straight scale where it is believed to be. */
function look(
  weights: Float64Array,
  means: Float64Array,
  variances: Float64Array,
  { y, u, curve }: { readonly y: number; readonly u: number; readonly curve: DepthCurve },
) {
  const [sound, odd] = [u ** 2, (ODD_GAUGES * u + ODD_UNITS) ** 2];
  let [total, oddTotal] = [0, 0];
  for (let node = 0; node < weights.length; node += 1) {
    const mean = means[node] ?? 0;
    const expected = bent(curve, mean);
    const stretch = stretchAt(curve, expected);
    const variance = (variances[node] ?? 0) / stretch ** 2;
    const off = y - expected;
    const [soundSpread, oddSpread] = [variance + sound, variance + odd];
    const soundLikely = ((1 - ODD_SHARE) * Math.exp((-0.5 * off * off) / soundSpread)) / Math.sqrt(soundSpread);
    const oddLikely = (ODD_SHARE * Math.exp((-0.5 * off * off) / oddSpread)) / Math.sqrt(oddSpread);
    const likely = soundLikely + oddLikely + 1e-300;
    const share = oddLikely / likely;
    const [gain, oddGain] = [variance / soundSpread, variance / oddSpread];
    const joined = ((1 - share) * gain + share * oddGain) * off;
    means[node] = mean + joined * stretch;
    variances[node] =
      stretch ** 2 *
      ((1 - share) * (variance * (1 - gain) + (gain * off - joined) ** 2) +
        share * (variance * (1 - oddGain) + (oddGain * off - joined) ** 2));
    const weight = (weights[node] ?? 0) * likely;
    weights[node] = weight;
    total += weight;
    oddTotal += weight * share;
  }
  normalise(weights, total);
  return { odd: total > 0 ? oddTotal / total : 1, fit: Math.log(Math.max(total, 1e-300)) };
}

/** An inequality: a belief on the wrong side of it loses its weight, and is moved to the truth's side; or it was a misread. */
function bound(weights: Float64Array, means: Float64Array, variances: Float64Array, reading: WearReading): number {
  const side = reading.bound === 'above' ? 1 : -1;
  let [total, oddTotal] = [0, 0];
  for (let node = 0; node < weights.length; node += 1) {
    const [mean, variance] = [means[node] ?? 0, variances[node] ?? 0];
    const sigma = Math.sqrt(variance + reading.u ** 2);
    const z = (side * (mean - reading.y)) / sigma;
    const kept = Math.max(LEAST_WEIGHT, normalCdf(z));
    const likely = (1 - ODD_SHARE) * kept + ODD_SHARE / 2;
    const share = ODD_SHARE / 2 / likely;
    // Mean and variance of a normal cut at the bound (Johnson, Kotz, Balakrishnan 1994, 10.1).
    const pull = Math.exp(-0.5 * z * z) / (Math.sqrt(2 * Math.PI) * kept);
    const cut = mean + (side * variance * pull) / sigma;
    const cutVariance = Math.max(1e-9, variance - (variance ** 2 / sigma ** 2) * pull * (pull + z));
    const joined = (1 - share) * cut + share * mean;
    means[node] = joined;
    variances[node] = (1 - share) * (cutVariance + (cut - joined) ** 2) + share * (variance + (mean - joined) ** 2);
    weights[node] = (weights[node] ?? 0) * likely;
    total += weights[node] ?? 0;
    oddTotal += (weights[node] ?? 0) * share;
  }
  normalise(weights, total);
  return total > 0 ? oddTotal / total : 1;
}

function normalise(weights: Float64Array, total: number): void {
  for (let node = 0; node < weights.length; node += 1)
    weights[node] = total > 0 ? (weights[node] ?? 0) / total : 1 / weights.length;
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

/** Share of the rate's square that a change on the way adds, at most. */
const CHANGE_SPREAD = 0.12;

/** Chance that the limit is met within `ahead` of the last reading, same unit as x. Never falls with distance. */
export function crossedBy(belief: WearBelief, limit: number, ahead: number): number {
  return straightCrossedBy(belief, straightened(belief.prior.curve ?? STRAIGHT, limit), ahead);
}

function straightCrossedBy(belief: WearBelief, limit: number, ahead: number): number {
  const { rates, weights, means, variances, prior } = belief;
  const changed = (1 - Math.exp(-prior.changes * ahead)) * CHANGE_SPREAD;
  let chance = 0;
  for (let node = 0; node < rates.length; node += 1) {
    const weight = weights[node] ?? 0;
    if (weight < 1e-7) continue;
    const loss = (rates[node] ?? 0) * ahead;
    const sigma = Math.sqrt((variances[node] ?? 0) + changed * loss * loss + 1e-12);
    chance += weight * normalCdf((limit - (means[node] ?? 0) + loss) / sigma);
  }
  return Math.min(1, chance);
}

/** The chance to meet the limit over distance, looked up once and read many times. Rises from its first step to its last. */
export interface CrossingCurve {
  readonly ahead: readonly number[];
  readonly chance: readonly number[];
}

const CURVE_STEPS = 44;
/** The curve runs from here to there, in lives that the present rate would leave; farther where it has not ended by then. */
const [CURVE_FROM, CURVE_TO] = [0.02, 16];
const CURVE_RATIO = (CURVE_TO / CURVE_FROM) ** (1 / (CURVE_STEPS - 1));
const CURVE_UNTIL = 0.96;
const MOST_STEPS = 80;
/** A part that is at its limit, or over it, is looked at as finely as this, unit of x. */
const LEAST_LIFE = 0.2;

/** How likely a part is at its limit by each distance ahead: one curve to look chances and distances up on. */
export function crossingCurve(belief: WearBelief, limitY: number): CrossingCurve {
  const { value, rate } = stateOf(belief);
  const limit = straightened(belief.prior.curve ?? STRAIGHT, limitY);
  const life = Math.max(LEAST_LIFE, (value - limit) / Math.max(rate, 1e-9));
  const ahead = [0];
  const chance = [straightCrossedBy(belief, limit, 0)];
  let highest = chance[0] ?? 0;
  // What is hardly over its limit, and not known well, may last many such lives: then the curve goes on.
  for (let step = 0; step < CURVE_STEPS || (highest < CURVE_UNTIL && step < MOST_STEPS); step += 1) {
    const at = life * CURVE_FROM * CURVE_RATIO ** step;
    highest = Math.max(highest, straightCrossedBy(belief, limit, at));
    ahead.push(at);
    chance.push(highest);
  }
  return { ahead, chance };
}

/** Chance that the limit is met within `ahead`, by the curve. */
export function chanceAt({ ahead, chance }: CrossingCurve, distance: number): number {
  if (distance <= 0) return chance[0] ?? 0;
  const after = firstAtLeast(ahead, distance);
  if (after === -1) return chance.at(-1) ?? 1;
  return between(ahead[after - 1] ?? 0, ahead[after] ?? 0, chance[after - 1] ?? 0, chance[after] ?? 0, distance);
}

/** Distance by which the limit is met with this chance; Infinity where it is farther than the curve goes. */
export function crossingAt({ ahead, chance }: CrossingCurve, wanted: number): number {
  const after = firstAtLeast(chance, wanted);
  if (after === -1) return Infinity;
  if (after === 0) return 0;
  return between(chance[after - 1] ?? 0, chance[after] ?? 0, ahead[after - 1] ?? 0, ahead[after] ?? 0, wanted);
}

const between = (x0: number, x1: number, y0: number, y1: number, x: number) =>
  x1 > x0 ? y0 + ((y1 - y0) * (x - x0)) / (x1 - x0) : y1;
