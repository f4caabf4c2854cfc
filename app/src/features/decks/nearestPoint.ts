import { cataloguePoint, hubPlaces, type Axle, type GradedPoint, type Hub } from '@weskopos/core';

/** A place on a deck's drawing, shares of its width and height. */
interface Spot {
  readonly x: number;
  readonly y: number;
}

/** Where a hub is drawn on the wheels deck, share of its width and height. */
export function hubSpot(hub: Hub, axles: readonly Axle[]): Spot {
  const index = Number.parseInt(hub, 10) - 1;
  return { x: 0.17 + (index * 0.6) / Math.max(1, axles.length - 1), y: hub.includes('L') ? 0.1 : 0.9 };
}

/**
 * The point a finger on a deck means: the nearest one drawn there; at a wheel the first that is not seen yet, else its
 * first. Undefined for a deck without points.
 */
export function nearestPoint(
  deck: 'bonnet' | 'wheels' | 'under',
  at: Spot,
  axles: readonly Axle[],
  points: readonly GradedPoint[],
): GradedPoint | undefined {
  const away = (spot: Spot) => Math.hypot(spot.x - at.x, (spot.y - at.y) * 0.5);
  const here = points.filter(({ point }) => cataloguePoint(point).deck?.name === deck);
  if (deck === 'wheels') {
    const [hub] = [...hubPlaces(axles)].sort((a, b) => away(hubSpot(a, axles)) - away(hubSpot(b, axles)));
    const atHub = here.filter(
      ({ place, station }) => station === 'wheel' && hub !== undefined && place.startsWith(hub),
    );
    return atHub.find(({ result }) => result.grade === 'not-seen') ?? atHub[0];
  }
  const spotOf = ({ point }: GradedPoint) => cataloguePoint(point).deck ?? { x: 0, y: 0 };
  return [...here].sort((a, b) => away(spotOf(a)) - away(spotOf(b)))[0];
}
