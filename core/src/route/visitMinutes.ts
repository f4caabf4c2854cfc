import { cataloguePoint } from '../catalogue/catalogue';
import type { Finding } from '../inspection/finding';
import type { WalkPlan } from '../inspection/walkSteps';
import { walkSteps } from '../inspection/walkSteps';
import { BAY_MOVES } from './moves';
import { paceOf } from './pace';
import { placeOf } from './visitRoute';

/** A bay is planned by no finer step, min. */
const STEP_MIN = 5;

/**
 * Minutes a visit takes, rounded up to five: each of its points as long as it took at this vehicle before, else as usual;
 * once to each place, and up and down the lift. Waits count nothing: the route works through them. 0 where there is
 * nothing to look at.
 *
 * @param before the findings of each earlier visit
 */
export function visitMinutes(
  plan: WalkPlan,
  before: readonly (readonly Pick<Finding, 'point' | 'at' | 'inOneStroke'>[])[],
): number {
  const secondsOf = paceOf(before);
  const steps = walkSteps(plan);
  const work = steps.flatMap(({ points }) => points).reduce((sum, ref) => sum + secondsOf(ref), 0);
  const places = [...new Set(steps.map(({ stop }) => placeOf(stop, plan.vehicle.axles.length)))];
  const walks = places.reduce((sum, place, index) => sum + BAY_MOVES.walkS(places[index - 1] ?? place, place), 0);
  const stations = steps.flatMap(({ points }) => points.map(({ point }) => cataloguePoint(point).station));
  const height = stations.includes('under') ? 'full' : stations.includes('wheel') ? 'chest' : 'down';
  const seconds = work + walks + BAY_MOVES.liftS('down', height) + BAY_MOVES.liftS(height, 'down');
  return work === 0 ? 0 : Math.ceil(seconds / 60 / STEP_MIN) * STEP_MIN;
}
