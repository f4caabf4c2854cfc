import type { Vehicle, VehicleClass } from './vehicle';

export const POWERS = ['petrol', 'diesel', 'hybrid', 'electric'] as const;
export const STEERINGS = ['hydraulic', 'electric', 'unassisted'] as const;
export const GEARBOXES = ['manual', 'automatic', 'single-speed'] as const;
/** How a body is built, as far as its drawing shows. */
export const BODIES = [
  'hatchback',
  'saloon',
  'estate',
  'van',
  'pick-up',
  'box',
  'flatbed',
  'bus',
  'tractor',
  'set',
] as const;
export type Body = (typeof BODIES)[number];
export const ENGINE_PLACES = ['front', 'middle', 'rear'] as const;
export const DRIVES = ['front', 'rear', 'four-permanent', 'four-selectable'] as const;

/** What a vehicle is made of, as far as it decides which points it has. */
export interface MakeUp {
  readonly power: (typeof POWERS)[number];
  readonly steering: (typeof STEERINGS)[number];
  readonly gearbox: (typeof GEARBOXES)[number];
  readonly drive: (typeof DRIVES)[number];
  readonly spareWheel: boolean;
  readonly passengerLift: boolean;
  readonly towbar: boolean;
  readonly urea: boolean;
  readonly timingBelt: boolean;
  readonly hydraulicClutch: boolean;
  readonly winterTyres: boolean;
  /** The side its driver sits on; null where it is the usual one: away from the kerb. */
  readonly driverSide: 'L' | 'R' | null;
  /** Null where it is the usual one of the vehicle's class. */
  readonly body: Body | null;
  readonly enginePlace: (typeof ENGINE_PLACES)[number];
}

export const USUAL_MAKE_UP: MakeUp = {
  power: 'diesel',
  steering: 'hydraulic',
  gearbox: 'manual',
  drive: 'front',
  spareWheel: true,
  passengerLift: false,
  towbar: false,
  urea: false,
  timingBelt: true,
  hydraulicClutch: true,
  winterTyres: false,
  driverSide: null,
  body: null,
  enginePlace: 'front',
};

const USUAL_BODY: Record<VehicleClass, Body> = {
  car: 'hatchback',
  'light-goods': 'van',
  goods: 'box',
  minibus: 'van',
  bus: 'bus',
  plant: 'tractor',
};

/** How a vehicle is built: as it was told, else as is usual for its class. */
export function bodyOf({ makeUp, class: kind }: Pick<Vehicle, 'makeUp' | 'class'>): Body {
  return makeUp.body ?? USUAL_BODY[kind];
}
