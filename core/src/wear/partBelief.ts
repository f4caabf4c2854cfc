import { atPresentAxle, axleScale, priorFor, type FleetRates, type PartHistory } from './fleetRates';
import { UNCALIBRATED, neverNarrower, type Calibration } from './calibration';
import { STRAIGHT, perhapsCurves, type DepthCurve } from './depthCurve';
import { chanceAt, crossingCurve, type CrossingCurve } from './crossing';
import { longest, movesAhead, wornBy } from './moves';
import { stretched, type PerhapsFaster } from './rateChange';
import { believe, surprises, type Surprise } from './wearBelief';
import type { WearBelief } from './wearFilter';

/** Of a kind that nothing was learned of nobody knows that it is moved. */
const NOT_MOVED = { axles: {}, movedEvery: null };
/** A change less likely than this is not weighed. */
const LEAST_CHANCE = 0.05;

/**
 * What is believed of a part by its own readings and by what the fleet wears.
 *
 * @param perhaps that it may wear faster than before, by all that is read on its vehicle
 * @param curve that its wear follows, where that is not the kind's likeliest
 */
export function partBelief(
  rates: FleetRates,
  part: PartHistory,
  perhaps?: PerhapsFaster,
  curve?: DepthCurve,
): WearBelief {
  const { fitted, readings } = atPresentAxle(part, rates[part.kind]?.axles);
  const prior = curve ? { ...priorFor(rates, part), curve } : priorFor(rates, part);
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

/**
 * How wide a part's ranges are told. What readings of its kind show of its wear says nothing of when it is moved: where
 * moves lie ahead, never narrower.
 */
export function partCalibration(
  { rates, widths }: { readonly rates: FleetRates; readonly widths: Readonly<Record<string, Calibration>> },
  part: PartHistory,
): Calibration {
  const calibration = widths[part.kind] ?? UNCALIBRATED;
  return movesAhead(rates[part.kind] ?? NOT_MOVED, part) ? neverNarrower(calibration) : calibration;
}

/** How a part's readings lay in what had been told some looks before them. */
export function partSurprises(rates: FleetRates, part: PartHistory): Surprise[] {
  const { fitted, readings } = atPresentAxle(part, rates[part.kind]?.axles);
  return surprises(priorFor(rates, part), fitted, readings);
}

/** What is told of a part besides its readings. */
interface Believed {
  readonly perhaps?: PerhapsFaster | undefined;
  readonly belief?: WearBelief;
}

/**
 * When a part meets its limit, in a house that moves such parts every so often: then it wears on at the other axle's rate;
 * and where it is one of two sets, so that it is off the road every so often.
 *
 * @param perhaps that it may wear faster than before
 * @param belief of this part with that, where it is known already
 */
export function partCrossing(
  rates: FleetRates,
  part: PartHistory,
  limit: number,
  { perhaps, belief = partBelief(rates, part, perhaps) }: Believed = {},
): CrossingCurve {
  const curve = crossingOver(rates, part, limit, { perhaps, belief });
  const moves = movesAhead(rates[part.kind] ?? NOT_MOVED, part);
  if (!moves) return curve;
  const ahead = longest(curve.ahead, moves);
  return {
    ahead,
    chance: ahead.map(
      (driven) =>
        moves.cases.reduce((sum, one) => sum + chanceAt(curve, wornBy(driven, one, moves)), 0) / moves.cases.length,
    ),
  };
}

/** Over the curves that the kind may wear by: each believed with its own readings. */
function crossingOver(
  rates: FleetRates,
  part: PartHistory,
  limit: number,
  { perhaps, belief }: Believed & { readonly belief: WearBelief },
): CrossingCurve {
  const known = rates[part.kind]?.curve ?? STRAIGHT;
  const curves = perhapsCurves(known);
  const middle = crossingCurve(belief, limit);
  if (curves.length === 1) return middle;
  const each = curves.map(({ curve, share }) =>
    curve.power === known.power
      ? { share, crossing: middle }
      : { share, crossing: crossingCurve(partBelief(rates, part, perhaps, curve), limit) },
  );
  const { ahead } = middle;
  return {
    ahead,
    chance: ahead.map((at) => each.reduce((sum, { share, crossing }) => sum + share * chanceAt(crossing, at), 0)),
  };
}

/** How much of what is not known is each place's own. */
const EACH_ITS_OWN = 0.25;

/**
 * When the first of several places across one part meets the limit. Some of what is not known is common to them: the part's
 * rate, what comes, the gauge of the day; then the likeliest is the first. The rest is each place's own: then any may be.
 *
 * @param curves the worst place's first
 */
export function firstCrossing(curves: readonly CrossingCurve[]): CrossingCurve {
  const [only] = curves;
  if (!only || curves.length === 1) return only ?? { ahead: [0], chance: [0] };
  const { ahead } = only;
  return {
    ahead,
    chance: ahead.map((at) => {
      const each = curves.map((curve) => chanceAt(curve, at));
      const any = 1 - each.reduce((none, chance) => none * (1 - chance), 1);
      return (1 - EACH_ITS_OWN) * Math.max(...each) + EACH_ITS_OWN * any;
    }),
  };
}
