import type { Axle, Vehicle } from './vehicle';

type Parts = Pick<Vehicle, 'class' | 'makeUp' | 'meterUnit' | 'axles'>;

/** What a vehicle must have for a point to exist on it. */
const VEHICLE_FITS = {
  engine: ({ makeUp }: Parts) => makeUp.power !== 'electric',
  'high-voltage': ({ makeUp }: Parts) => makeUp.power === 'electric' || makeUp.power === 'hybrid',
  diesel: ({ makeUp }: Parts) => makeUp.power === 'diesel',
  'spark-plugs': ({ makeUp }: Parts) => makeUp.power === 'petrol' || makeUp.power === 'hybrid',
  'hydraulic-steering': ({ makeUp }: Parts) => makeUp.steering === 'hydraulic',
  clutch: ({ makeUp }: Parts) => makeUp.gearbox === 'manual' && makeUp.power !== 'electric',
  'hydraulic-clutch': ({ makeUp }: Parts) =>
    makeUp.hydraulicClutch && makeUp.gearbox === 'manual' && makeUp.power !== 'electric',
  gearbox: ({ makeUp }: Parts) => makeUp.gearbox !== 'single-speed',
  automatic: ({ makeUp }: Parts) => makeUp.gearbox === 'automatic',
  'spare-wheel': ({ makeUp }: Parts) => makeUp.spareWheel,
  'passenger-lift': ({ makeUp }: Parts) => makeUp.passengerLift,
  towbar: ({ makeUp }: Parts) => makeUp.towbar,
  urea: ({ makeUp }: Parts) => makeUp.urea,
  'timing-belt': ({ makeUp }: Parts) => makeUp.timingBelt && makeUp.power !== 'electric',
  'four-wheel-drive': ({ makeUp }: Parts) => makeUp.drive.startsWith('four'),
  'front-axle-drive': ({ makeUp }: Parts) => makeUp.drive.startsWith('four'),
  'prop-shaft': ({ makeUp }: Parts) => makeUp.drive !== 'front',
  'hydraulic-brakes': (vehicle: Parts) => vehicle.class !== 'plant',
  road: (vehicle: Parts) => vehicle.class !== 'plant',
  plant: (vehicle: Parts) => vehicle.class === 'plant',
} as const;
/** Something a vehicle has or has not, as the catalogue asks for it. */
export type VehicleFit = keyof typeof VEHICLE_FITS;

/** What one axle must have. */
const AXLE_FITS = {
  disc: ({ brake }: Axle) => brake === 'disc',
  drum: ({ brake }: Axle) => brake === 'drum',
  steered: ({ steered }: Axle) => steered,
  driven: ({ driven }: Axle) => driven,
  independent: ({ suspension, steered }: Axle) => (suspension ?? (steered ? 'independent' : 'rigid')) === 'independent',
} as const;
/** Something an axle has or has not, as the catalogue asks for it. */
export type AxleFit = keyof typeof AXLE_FITS;

/** What a point needs the vehicle or the axle to have. */
export type Fit = VehicleFit | AxleFit;

const isVehicleFit = (fit: Fit): fit is VehicleFit => fit in VEHICLE_FITS;

/** Whether a vehicle, and the axle the point would sit on, have everything the point needs. */
export function hasFits(fits: readonly Fit[], vehicle: Parts, axle: Axle | undefined): boolean {
  return fits.every((fit) => {
    if (isVehicleFit(fit)) return VEHICLE_FITS[fit](vehicle);
    return axle !== undefined && AXLE_FITS[fit](axle);
  });
}
