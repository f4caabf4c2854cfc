import { CATALOGUE, type PointCode } from './catalogue';
import type { MeasureCode } from './measures';
import type { Station } from './points/point';
import type { Vehicle } from '../vehicle/vehicle';

/** Which vehicles a template is offered for: `lift` those with one for passengers; `nobody` keeps it for old visits. */
export const OFFERED = ['road', 'plant', 'all', 'lift', 'nobody'] as const;
/** Which vehicles a template is offered for. */
export type Offered = (typeof OFFERED)[number];

/** A choice and order of catalogue points. A vehicle drops what it does not have. */
export interface Template {
  readonly code: string;
  /** Its name where the workshop made it; built-in ones are named by the app's words. */
  readonly name: string;
  readonly points: readonly PointCode[];
  /** Measures that are an extra elsewhere and wanted here, e.g. ages in a major inspection. */
  readonly asks: readonly MeasureCode[];
  /** Nothing may be carried from an earlier look. */
  readonly nothingCarried: boolean;
  /** Only what the last visit left to be looked at again. */
  readonly onlyWatched: boolean;
  readonly offeredTo: Offered;
}

const ofStations = (...stations: readonly Station[]): PointCode[] =>
  CATALOGUE.filter(({ own, station }) => !own && stations.includes(station)).map(({ code }) => code);

const template = (code: string, points: readonly PointCode[], change: Partial<Template> = {}): Template => ({
  code,
  name: '',
  points,
  asks: [],
  nothingCarried: false,
  onlyWatched: false,
  offeredTo: 'road',
  ...change,
});

const MINIBUS_ONLY: readonly PointCode[] = ['walk.lift', 'walk.tiedowns'];
const MINIBUS = ofStations('cold', 'cabin', 'walk', 'bonnet', 'wheel', 'under', 'closing');
const FULL = MINIBUS.filter((code) => !MINIBUS_ONLY.includes(code));

const INTERIM: readonly PointCode[] = [
  ...ofStations('cold'),
  'cabin.lamps',
  'cabin.oillamp',
  'cabin.codes',
  'cabin.indicator',
  'cabin.horn',
  'cabin.washwipe',
  'cabin.parkbrake',
  'walk.lamps',
  'walk.glass',
  'walk.wipers',
  'walk.spare',
  'oil.level',
  'oil.condition',
  'coolant.level',
  'coolant.strength',
  'brake.fluid.level',
  'brake.fluid.water',
  'washer.level',
  'battery.rest',
  'battery.terminals',
  'charge.voltage',
  'belt.aux',
  'hose.coolant.top',
  'hose.coolant.bottom',
  'filter.air',
  'leak.bonnet',
  'tyre.tread',
  'tyre.wall',
  'tyre.age',
  'tyre.pressure',
  'wheel.rock',
  'wheel.bolts',
  'pad.outer',
  'disc',
  'pad.inner',
  'shoe',
  'brake.hose',
  'brake.pipe',
  'boot.outer',
  'rod.end',
  'damper',
  'tray.fasteners',
  'leak.engine',
  'leak.gearbox',
  'leak.cooling',
  'leak.fuel',
  'leak.brake',
  'exhaust',
  'pipe.brake.run',
  'steer.rack',
  'close.leakcheck',
  'close.level',
  'close.bolts',
  'close.codes',
  'road.test',
  'close.indicator',
  'close.sticker',
];

const HOME: readonly PointCode[] = [
  'cold.oil',
  'cold.coolant',
  'cold.pool',
  'walk.lamps',
  'walk.wipers',
  'walk.glass',
  'walk.spare',
  'coolant.strength',
  'washer.level',
  'washer.frost',
  'battery.rest',
  'battery.terminals',
  'belt.aux',
  'tyre.tread',
  'tyre.wall',
  'tyre.age',
  'tyre.pressure',
];

const PLANT_DAILY: readonly PointCode[] = [
  'plant.oil',
  'plant.coolant',
  'plant.hydraulic',
  'plant.guards',
  'cold.pool',
];
const PLANT_WEEKLY: readonly PointCode[] = [
  ...PLANT_DAILY,
  'plant.fan.belt',
  'plant.aircleaner',
  'plant.brake.reservoir',
  'plant.grease.front',
  'plant.grease.rear',
  'plant.grease.linkage',
  'plant.linkage',
  'plant.pto',
  'tyre.pressure',
  'tyre.wall',
];

/** What the first version of the catalogue held; visits made under it keep it. */
const FIRST_FOURTEEN: readonly PointCode[] = [
  'cold.oil',
  'cold.coolant',
  'cold.belts',
  'cold.pool',
  'brake.fluid.water',
  'belt.aux',
  'hose.coolant.top',
  'tyre.tread',
  'tyre.pressure',
  'pad.outer',
  'pad.inner',
  'leak.engine',
];

export const BUILT_IN_TEMPLATES: readonly Template[] = [
  template('full', FULL),
  template('interim', INTERIM),
  template('cold-gate', ofStations('cold'), { offeredTo: 'all' }),
  template('major', FULL, { asks: ['part-age', 'age-distance'] }),
  template('home', HOME),
  template('minibus', MINIBUS, { offeredTo: 'lift' }),
  template('plant-daily', PLANT_DAILY, { offeredTo: 'plant' }),
  template('plant-weekly', PLANT_WEEKLY, { offeredTo: 'plant' }),
  template(
    'plant-hours',
    [
      ...PLANT_WEEKLY,
      ...ofStations('plant').filter((code) => !PLANT_WEEKLY.includes(code)),
      'coolant.strength',
      'battery.rest',
      'battery.terminals',
      'charge.voltage',
      'hose.coolant.top',
      'hose.coolant.bottom',
      'leak.engine',
      'leak.cooling',
      'leak.fuel',
      'leak.gearbox',
      'leak.axle.front',
      'leak.axle.rear',
      'tyre.tread',
      'tyre.age',
      'cabin.lamps',
      'cabin.steering',
      'close.leakcheck',
    ],
    { offeredTo: 'plant' },
  ),
  template('pre-purchase', FULL, { nothingCarried: true }),
  template('return', MINIBUS, { onlyWatched: true }),
  template('first-fourteen', FIRST_FOURTEEN, { offeredTo: 'nobody' }),
];

/** The template by its code; the built-in full one where a workshop has dropped it since. */
export function templateBy(templates: readonly Template[], code: string): Template {
  return (
    templates.find((one) => one.code === code) ??
    BUILT_IN_TEMPLATES.find((one) => one.code === code) ??
    (BUILT_IN_TEMPLATES[0] as Template)
  );
}

/** The templates a vehicle is offered, in their order; one that looks at what was left needs a visit that left something. */
export function offeredFor(
  templates: readonly Template[],
  vehicle: Pick<Vehicle, 'class' | 'makeUp'>,
  hasSignedVisit: boolean,
): Template[] {
  const plant = vehicle.class === 'plant';
  const offered: Readonly<Record<Offered, boolean>> = {
    road: !plant,
    plant,
    all: true,
    lift: !plant && vehicle.makeUp.passengerLift,
    nobody: false,
  };
  return templates.filter(({ offeredTo, onlyWatched }) => offered[offeredTo] && (!onlyWatched || hasSignedVisit));
}
