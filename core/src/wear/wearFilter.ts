import { normalCdf } from '../sums/normal';
import { STRAIGHT, bentCurve, straightened, stretchAt, type BentCurve, type DepthCurve } from './depthCurve';

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
  /** What is read of a new part beyond what it is taken to be, unit of y; none where it is not told. */
  readonly newOff?: number;
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
/** A rate is ruled out where it is this much less likely than the likeliest. */
const LEAST_SHARE = 1e-5;
/** Start of a part nobody saw new: anything. */
const UNKNOWN_SIGMA = 6;

/** Wear rates with their weights beforehand, and after a change. */
export interface Grid {
  readonly rates: Float64Array;
  readonly weights: Float64Array;
  readonly changed: Float64Array;
}
const grids = new WeakMap<RatePrior, Grid>();

/** The grid of a prior; the same for every part under it. */
export function gridOf(prior: RatePrior): Grid {
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

export type Nodes = Pick<WearBelief, 'weights' | 'means' | 'variances'>;

/**
 * One part's readings, taken one after the other in the order of x: a Kalman filter for each rate of the grid (R. Kalman
 * 1960), mixed where rates may change (generalised pseudo-Bayes of first order, Ackerson and Fu 1970). Can be copied, so
 * that several things that may have come next share what went before.
 */
export class WearFilter {
  private x: number;
  private odd = 0;
  private fit = 0;
  /** Log likelihood of the bounds. */
  private bounds = 0;
  private counted = 0;
  /** Looks side by side with the last one, beside it. */
  private again = 0;
  private readonly curve: DepthCurve;
  private readonly bends: BentCurve;

  private constructor(
    private readonly grid: Grid,
    private readonly prior: RatePrior,
    private readonly nodes: Nodes,
    x: number,
  ) {
    this.x = x;
    this.curve = prior.curve ?? STRAIGHT;
    this.bends = bentCurve(this.curve);
  }

  /** Before its first reading; where nobody knows how it began, near that reading. */
  static of(grid: Grid, prior: RatePrior, fitted: Fitted | null, first?: WearReading): WearFilter {
    const count = grid.rates.length;
    const curve = prior.curve ?? STRAIGHT;
    const start = fitted ? fitted.fresh + (prior.newOff ?? 0) : (first?.y ?? 0);
    const nodes: Nodes = {
      weights: grid.weights.slice(),
      means: new Float64Array(count).fill(straightened(curve, start)),
      variances: new Float64Array(count).fill(((fitted?.sigma ?? UNKNOWN_SIGMA) * stretchAt(curve, start)) ** 2),
    };
    return new WearFilter(grid, prior, nodes, fitted?.x ?? first?.x ?? 0);
  }

  /** Takes the next reading. @param before sees what was believed at it without it */
  take(told: WearReading, before?: (reading: WearReading, nodes: Nodes) => void): void {
    const { grid, prior, curve, nodes } = this;
    const { weights, means, variances } = nodes;
    const reading = atNothing(told, prior.handU) ?? told;
    const gone = Math.max(0, reading.x - this.x);
    this.again = this.counted > 0 && gone < NEAR ? this.again + 1 : 0;
    this.counted += 1;
    this.x = reading.x;
    if (gone > 0) move(grid, weights, means, variances, gone, prior.changes);
    before?.(reading, nodes);
    if (reading.bound === 'exact') {
      const u = Math.hypot(reading.u, prior.handU) * Math.sqrt(1 + this.again);
      const seen = look(weights, means, variances, { y: reading.y, u, curve: this.bends });
      this.odd = seen.odd;
      this.fit += seen.fit;
    } else {
      const u = reading.u * stretchAt(curve, reading.y);
      const seen = bound(weights, means, variances, { ...reading, y: straightened(curve, reading.y), u });
      this.odd = seen.odd;
      this.bounds += seen.fit;
    }
  }

  /** Log likelihood of all that was read so far: per unit of y for what is exact, a chance for what is a bound. */
  get likelihood(): number {
    return this.fit + this.bounds;
  }

  copy(): WearFilter {
    const { weights, means, variances } = this.nodes;
    const nodes = { weights: weights.slice(), means: means.slice(), variances: variances.slice() };
    return this.toldTo(new WearFilter(this.grid, this.prior, nodes, this.x));
  }

  /**
   * The same without the rates that what was read has ruled out: where rates are taken to hold, none comes back.
   *
   * @throws {RangeError} where the prior lets rates change
   */
  slim(): WearFilter {
    const { grid, prior, nodes } = this;
    if (prior.changes > 0) throw new RangeError('changes: 0');
    const least = LEAST_SHARE * Math.max(...nodes.weights);
    const kept = (of: Float64Array) => of.filter((_, node) => (nodes.weights[node] ?? 0) >= least);
    const left = { rates: kept(grid.rates), weights: kept(grid.weights), changed: kept(grid.changed) };
    const { weights, means, variances } = nodes;
    const other = new WearFilter(
      left,
      prior,
      { weights: kept(weights), means: kept(means), variances: kept(variances) },
      this.x,
    );
    return this.toldTo(other);
  }

  private toldTo(other: WearFilter): WearFilter {
    [other.odd, other.fit, other.bounds] = [this.odd, this.fit, this.bounds];
    [other.counted, other.again] = [this.counted, this.again];
    return other;
  }

  belief(): WearBelief {
    const { x, grid, prior, nodes, counted, odd, fit } = this;
    return { x, rates: grid.rates, ...nodes, prior, readings: counted, odd, fit };
  }
}

/** What a gauge cannot tell from nothing says only that there is no more: a part worn through wears no further. */
export function atNothing({ x, y, u, bound: told }: WearReading, handU: number): WearReading | null {
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
  { y, u, curve }: { readonly y: number; readonly u: number; readonly curve: BentCurve },
) {
  const [sound, odd] = [u ** 2, (ODD_GAUGES * u + ODD_UNITS) ** 2];
  let [total, oddTotal] = [0, 0];
  for (let node = 0; node < weights.length; node += 1) {
    const mean = means[node] ?? 0;
    curve.at(mean);
    const { value: expected, stretch } = curve;
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
function bound(weights: Float64Array, means: Float64Array, variances: Float64Array, reading: WearReading) {
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
  return { odd: total > 0 ? oddTotal / total : 1, fit: Math.log(Math.max(total, 1e-300)) };
}

function normalise(weights: Float64Array, total: number): void {
  for (let node = 0; node < weights.length; node += 1)
    weights[node] = total > 0 ? (weights[node] ?? 0) / total : 1 / weights.length;
}
