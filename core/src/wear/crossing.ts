import { firstAtLeast } from '../sums/firstAtLeast';
import { normalCdf } from '../sums/normal';
import { STRAIGHT, straightened } from './depthCurve';
import { stateOf } from './wearBelief';
import type { WearBelief } from './wearFilter';

/** Share of the rate's square that a change on the way adds, at most. */
const CHANGE_SPREAD = 0.12;

/** Chance that the limit is met within `ahead` of the last reading, same unit as x. Never falls with distance. */
export function crossedBy(belief: WearBelief, limit: number, ahead: number): number {
  return straightCrossedBy(belief, straightLimit(belief, limit), ahead);
}

/** Of what new parts read too much, so much is the gauge's; the rest they truly are. Nobody can tell which. */
const GAUGES_SHARE = 0.5;

/** Where a limit lies in what the house reads, on the scale on which wear is straight. */
const straightLimit = ({ prior: { curve = STRAIGHT, newOff = 0 } }: WearBelief, limit: number): number =>
  straightened(curve, limit + GAUGES_SHARE * newOff);

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
const CURVE_UNTIL = 0.995;
const MOST_STEPS = 96;
/** A part that is at its limit, or over it, is looked at as finely as this, unit of x. */
const LEAST_LIFE = 0.2;

/** How likely a part is at its limit by each distance ahead: one curve to look chances and distances up on. */
export function crossingCurve(belief: WearBelief, limitY: number): CrossingCurve {
  const { value, rate } = stateOf(belief);
  const limit = straightLimit(belief, limitY);
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
