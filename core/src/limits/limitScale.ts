import type { PointCode } from '../catalogue/catalogue';
import { fastenerAt } from '../catalogue/specAt';
import { torqueOf } from '../vehicle/specSheet';
import type { HouseRules } from '../house/houseRules';
import { axleAt, type Place, type Vehicle } from '../vehicle/vehicle';
import type { LimitKind } from './limitSheet';

/** Why a reading cannot be held against a kind of limit: the spec sheet is silent. */
export type ScaleMissing = 'no-minimum' | 'no-new-value' | 'no-rated-value' | 'no-torque';

/** How readings of a measure and limits of one kind stand to each other: `reading = limit · per + from`. */
export interface LimitScale {
  /** Reading units a unit of the limit is; over 0. */
  readonly per: number;
  /** The reading at a limit of 0. */
  readonly from: number;
}

/** What a limit's scale is taken from. */
export interface ScaleGiven {
  readonly vehicle: Pick<Vehicle, 'axles' | 'spec'>;
  readonly house: Pick<HouseRules, 'designLowC'>;
  readonly place: Place;
  readonly point: PointCode;
}

const per = (factor: number): LimitScale => ({ per: factor, from: 0 });
const from = (reading: number): LimitScale => ({ per: 1, from: reading });
type Scales = Readonly<Partial<Record<LimitKind, (given: ScaleGiven) => LimitScale | ScaleMissing>>>;

/** Kinds of limits a reading is held against by itself; the others compare it with other readings or with the placard. */
const SCALES: Scales = {
  value: () => per(1),
  'over-minimum': ({ vehicle, place }) => {
    const minimum = axleAt(vehicle.axles, place)?.discMinimumMm ?? null;
    return minimum === null ? 'no-minimum' : from(minimum);
  },
  'share-of-new': ({ vehicle, place }) => {
    const fresh = axleAt(vehicle.axles, place)?.liningNewMm ?? null;
    return fresh === null ? 'no-new-value' : per(fresh);
  },
  'rated-share': ({ vehicle }) => {
    const { ratedA } = vehicle.spec.battery;
    return ratedA === null ? 'no-rated-value' : per(ratedA);
  },
  'over-design-low': ({ house }) => from(house.designLowC),
  'torque-share': ({ vehicle, point }) => {
    const torque = torqueOf(vehicle.spec, fastenerAt(point) ?? 'wheel-bolts')?.newtonMetres ?? null;
    return torque === null ? 'no-torque' : per(torque);
  },
  'per-12-volts': ({ vehicle }) => per(vehicle.spec.systemVolts / 12),
};

/** The scale of a kind of limit at a place; why there is none where the sheet is silent; null for kinds that have none. */
export function scaleOf(kind: LimitKind, given: ScaleGiven): LimitScale | ScaleMissing | null {
  return SCALES[kind]?.(given) ?? null;
}

/** What a reading is in terms of the limit. */
export const toLimit = (scale: LimitScale, reading: number): number => (reading - scale.from) / scale.per;
/** The reading that lies just at a limit. */
export const toReading = (scale: LimitScale, limit: number): number => limit * scale.per + scale.from;
