export const POWERS = ['petrol', 'diesel', 'hybrid', 'electric'] as const;
export const STEERINGS = ['hydraulic', 'electric', 'unassisted'] as const;
export const GEARBOXES = ['manual', 'automatic', 'single-speed'] as const;
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
};
