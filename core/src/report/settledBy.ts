import type { PointCode } from '../catalogue/catalogue';
import type { PartKind } from '../parts/lifeEntry';
import { partOfPoint } from '../parts/threadParts';
import { entryOf } from '../sums/keyed';
import type { JobCode } from '../vehicle/jobs';

/** Besides what a part wears by: what else is found of it. */
const ALSO_OF_PART: Readonly<Partial<Record<PointCode, PartKind>>> = {
  'tyre.wear': 'tyre',
  'tyre.wall': 'tyre',
  'tyre.age': 'tyre',
  'battery.rest': 'battery',
  'battery.crank': 'battery',
  'battery.age': 'battery',
};

/** The part that what is found at a point belongs to: it goes where the part goes, and ends with it. */
export function partFoundAt(point: PointCode): PartKind | null {
  return partOfPoint(point) ?? entryOf<PartKind>(ALSO_OF_PART, point) ?? null;
}

/** Whether a job renews what is read at a point. */
export const renewsPoint = (job: JobCode, point: PointCode): boolean =>
  entryOf<readonly PointCode[]>(POINTS_OF_JOB, job)?.includes(point) ?? false;

/** What was found at these points before a job is put right by it; how it stands since, only a look can tell. */
export const POINTS_OF_JOB: Readonly<Partial<Record<JobCode, readonly PointCode[]>>> = {
  'engine-oil': ['oil.level', 'oil.condition', 'plant.oil'],
  'air-filter': ['filter.air', 'plant.aircleaner'],
  'cabin-filter': ['cabin.filter', 'plant.cabfilter'],
  'fuel-filter': ['filter.fuel.date'],
  'spark-plugs': ['plugs'],
  coolant: ['coolant.level', 'coolant.strength', 'coolant.condition', 'plant.coolant'],
  'brake-fluid': ['brake.fluid.level', 'brake.fluid.water', 'brake.fluid.condition'],
  'gearbox-oil': ['trans.level', 'trans.condition', 'gearbox.oil.level'],
  'transfer-oil': ['transfer.oil.level'],
  'axle-oil': ['axle.oil.level', 'axle.oil.condition', 'plant.finaldrive'],
  'hydraulic-oil': ['plant.hydraulic'],
  'timing-belt': ['belt.timing.age'],
  'auxiliary-belt': ['belt.aux', 'belt.tension', 'plant.fan.belt'],
  battery: ['battery.rest', 'battery.crank', 'battery.age'],
  'key-cell': ['cabin.keycell'],
  wipers: ['walk.wipers'],
  greasing: [
    'grease.points',
    'plant.grease.front',
    'plant.grease.rear',
    'plant.grease.linkage',
    'plant.grease.driveshaft',
    'plant.grease.own',
  ],
};
