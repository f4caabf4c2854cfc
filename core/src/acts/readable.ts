import { cataloguePoint } from '../catalogue/catalogue';
import type { Need } from '../catalogue/points/point';
import type { PointRef } from '../inspection/pointRef';
import { unmetNeeds, type VehicleState } from './vehicleState';

/** How much of an inspection can be read true as the vehicle stands. */
export interface Readable {
  /** Points that can be read now, what the walk itself does to the vehicle done. */
  readonly now: number;
  /** Points that must wait, by the state they want; most first. A point that wants two is counted at its first. */
  readonly later: readonly { readonly need: Need; readonly points: number }[];
}

/** What the walk itself does to the vehicle on its way. */
const ON_THE_WAY: readonly Need[] = ['running', 'running-hot'];

/** Parts the points of an inspection into those that can be read as the vehicle stands and those that must wait. */
export function readable(points: readonly Pick<PointRef, 'point'>[], state: VehicleState): Readable {
  const later = new Map<Need, number>();
  let now = 0;
  for (const { point } of points) {
    const [need] = unmetNeeds(cataloguePoint(point).needs, state).filter((one) => !ON_THE_WAY.includes(one));
    if (need) later.set(need, (later.get(need) ?? 0) + 1);
    else now += 1;
  }
  return {
    now,
    later: [...later].map(([need, count]) => ({ need, points: count })).sort((a, b) => b.points - a.points),
  };
}
