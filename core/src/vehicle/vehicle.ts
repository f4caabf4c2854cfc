export const VEHICLE_CLASSES = ['car', 'light-goods', 'goods', 'minibus'] as const;
export type VehicleClass = (typeof VEHICLE_CLASSES)[number];

export interface Axle {
  /** Two tyres each side. */
  readonly dual: boolean;
  readonly brake: 'disc' | 'drum';
  /** Placard pressure for this axle at 20 °C, kPa gauge; null when the spec sheet is silent. */
  readonly placardKpa: number | null;
}

export interface Vehicle {
  readonly id: string;
  /** The workshop's own short name, e.g. `FH 07`. */
  readonly fleetCode: string;
  readonly plate: string;
  readonly make: string;
  readonly model: string;
  readonly year: number;
  readonly class: VehicleClass;
  /** From the front. */
  readonly axles: readonly Axle[];
  readonly use: string;
}

export type Side = 'L' | 'R';
/** Neutral place: axle from the front, vehicle side, and `o`/`i` for the outer and inner of a dual pair. */
export type Place = string;

/**
 * Hubs in walking order: round the vehicle always in the same direction, from the left front,
 * along the front, down the right side and back up the left.
 */
export function hubPlaces(axles: readonly Axle[]): Place[] {
  const numbers = axles.map((_, index) => index + 1);
  const [first, ...rest] = numbers;
  if (first === undefined) return [];
  return [`${first}L`, `${first}R`, ...rest.map((n) => `${n}R`), ...[...rest].reverse().map((n) => `${n}L`)];
}

/** The tyres at one hub: one, or outer then inner of a dual pair. */
export function tyresAtHub(axles: readonly Axle[], hub: Place): Place[] {
  return axleAt(axles, hub)?.dual ? [`${hub}o`, `${hub}i`] : [hub];
}

/** The axle a place belongs to, undefined for a place the vehicle does not have. */
export function axleAt(axles: readonly Axle[], place: Place): Axle | undefined {
  return axles[Number.parseInt(place, 10) - 1];
}

/** The same place on the other side: `1L` → `1R`, `2Lo` → `2Ro`. */
export function oppositePlace(place: Place): Place {
  return place.replace(/[LR]/, (side) => (side === 'L' ? 'R' : 'L'));
}
