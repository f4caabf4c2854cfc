import { hubPlaces } from '../vehicle/vehicle';
import type { GradedPoint } from '../grading/verdict';
import type { DeckName } from './deckNames';
import { isOnDeck } from './deckNames';
import { pointSpot } from './deckShape';
import { hubSpot, vehicleShape, type DrawnVehicle, type Spot } from './vehicleShape';

/**
 * The point a finger on a deck means: the nearest one drawn there; at a wheel the first that is not seen yet, else its
 * first. Undefined for a deck without points.
 *
 * @param at in the picture's own units
 */
export function nearestPoint(
  deck: DeckName,
  at: Spot,
  vehicle: DrawnVehicle,
  points: readonly GradedPoint[],
): GradedPoint | undefined {
  const shape = vehicleShape(vehicle);
  const away = (spot: Spot) => Math.hypot(spot.x - at.x, spot.y - at.y);
  const here = points.filter((point) => isOnDeck(deck, point));
  if (deck === 'wheels') {
    const [hub] = [...hubPlaces(vehicle.axles)].sort((a, b) => away(hubSpot(shape, a)) - away(hubSpot(shape, b)));
    const atHub = here.filter(
      ({ place, station }) => station === 'wheel' && hub !== undefined && place.startsWith(hub),
    );
    return atHub.find(({ result }) => result.grade === 'not-seen') ?? atHub[0];
  }
  const from = (point: GradedPoint) => away(pointSpot(point, shape) ?? { x: Infinity, y: 0 });
  return [...here].sort((a, b) => from(a) - from(b))[0];
}
