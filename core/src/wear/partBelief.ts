import { atPresentAxle, axleScale, priorFor, type FleetRates, type KindRates, type PartHistory } from './fleetRates';
import { chanceAt, crossingCurve, type CrossingCurve } from './crossing';
import { stretched, type PerhapsFaster } from './rateChange';
import { believe, surprises, type Surprise } from './wearBelief';
import type { WearBelief } from './wearFilter';

/** A change less likely than this is not weighed. */
const LEAST_CHANCE = 0.05;

/**
 * What is believed of a part by its own readings and by what the fleet wears.
 *
 * @param perhaps that it may wear faster than before, by all that is read on its vehicle
 */
export function partBelief(rates: FleetRates, part: PartHistory, perhaps?: PerhapsFaster): WearBelief {
  const { fitted, readings } = atPresentAxle(part, rates[part.kind]?.axles);
  const prior = priorFor(rates, part);
  const still = believe(prior, fitted, readings);
  if (!perhaps || perhaps.chance < LEAST_CHANCE) return still;
  const since = axleScale(part, rates[part.kind]?.axles)(perhaps.sinceX);
  const [start] = fitted ? stretched([fitted], since, perhaps.factor) : [null];
  const changed = believe(prior, start ?? null, stretched(readings, since, perhaps.factor));
  return mixed(still, changed, perhaps);
}

/** Both of two things that may be so: the second with its chance, and at its rate. */
function mixed(still: WearBelief, changed: WearBelief, { chance, factor }: PerhapsFaster): WearBelief {
  const both = (one: Float64Array, other: Float64Array, onto: [number, number] = [1, 1]) =>
    Float64Array.from([...one.map((value) => value * onto[0]), ...other.map((value) => value * onto[1])]);
  return {
    ...still,
    rates: both(still.rates, changed.rates, [1, factor]),
    weights: both(still.weights, changed.weights, [1 - chance, chance]),
    means: both(still.means, changed.means),
    variances: both(still.variances, changed.variances),
    odd: (1 - chance) * still.odd + chance * changed.odd,
  };
}

/** How a part's readings lay in what those before them had told. */
export function partSurprises(rates: FleetRates, part: PartHistory): Surprise[] {
  const { fitted, readings } = atPresentAxle(part, rates[part.kind]?.axles);
  return surprises(priorFor(rates, part), fitted, readings);
}

/**
 * When a part meets its limit, in a house that moves such parts every so often: then it wears on at the other axle's rate.
 *
 * @param belief of this part, where it is known already
 */
export function partCrossing(
  rates: FleetRates,
  part: PartHistory,
  limit: number,
  belief = partBelief(rates, part),
): CrossingCurve {
  const curve = crossingCurve(belief, limit);
  const kind = rates[part.kind];
  const moves = kind && movesAhead(kind, part);
  if (!moves) return curve;
  const far = Math.max(1, 1 / moves.ratio);
  const ahead = curve.ahead.map((at) => at * far);
  return {
    ahead,
    chance: ahead.map(
      (driven) =>
        MOVED_AT.reduce(
          (sum, share) => sum + chanceAt(curve, wornBy(driven, { ...moves, first: share * moves.first })),
          0,
        ) / MOVED_AT.length,
    ),
  };
}

/** Nobody knows when it is moved next: a quarter, a half … of the usual way, or twice. */
const MOVED_AT = [0.25, 0.6, 1, 1.5, 2.2] as const;

interface MovesAhead {
  /** Until the next move, and between moves after it. */
  readonly first: number;
  readonly every: number;
  /** The other axle's rate against the present one's. */
  readonly ratio: number;
}

/** One that is overdue comes within this share of the usual distance. */
const OVERDUE = 0.25;

function movesAhead(
  { axles, movedEvery }: KindRates,
  { axle, before = [], fitted, readings }: PartHistory,
): MovesAhead | null {
  const others = Object.entries(axles).filter(([name]) => name !== axle);
  if (movedEvery === null || others.length === 0) return null;
  const now = axles[axle]?.mean ?? 0;
  const ratio = others.reduce((sum, [, { mean }]) => sum + Math.exp(mean - now), 0) / others.length;
  const last = readings.at(-1)?.x ?? fitted?.x ?? 0;
  const since = last - (before.at(-1)?.until ?? fitted?.x ?? readings[0]?.x ?? last);
  return { first: Math.max(OVERDUE * movedEvery, movedEvery - since), every: movedEvery, ratio };
}

/** Distance at the present axle that wears as much as `driven` with its moves. */
function wornBy(driven: number, { first, every, ratio }: MovesAhead): number {
  if (driven <= first) return driven;
  const [rounds, rest] = [Math.floor((driven - first) / (2 * every)), (driven - first) % (2 * every)];
  return first + rounds * every * (1 + ratio) + Math.min(rest, every) * ratio + Math.max(0, rest - every);
}

/**
 * When the first of several places across one part meets the limit: by each distance as likely as of the likeliest. What is
 * not known is common to them, the part's rate and the gauge of the day, far more than it is each place's own.
 *
 * @param curves the worst place's first
 */
export function firstCrossing(curves: readonly CrossingCurve[]): CrossingCurve {
  const [only] = curves;
  if (!only || curves.length === 1) return only ?? { ahead: [0], chance: [0] };
  const { ahead } = only;
  return { ahead, chance: ahead.map((at) => Math.max(...curves.map((curve) => chanceAt(curve, at)))) };
}
