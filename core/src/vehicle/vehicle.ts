import { parsePlace, placeOf } from './place';
import type { MakeUp } from './makeUp';
import type { SpecSheet } from './specSheet';

export const VEHICLE_CLASSES = ['car', 'light-goods', 'goods', 'minibus', 'bus', 'plant'] as const;
/** What kind of vehicle the law takes it for. */
export type VehicleClass = (typeof VEHICLE_CLASSES)[number];

/** What one axle is made of. */
export interface Axle {
  /** Two tyres each side. */
  readonly dual: boolean;
  readonly brake: 'disc' | 'drum';
  readonly steered: boolean;
  readonly driven: boolean;
  /** Placard pressure for this axle at 20 °C, kPa gauge; null when the spec sheet is silent. */
  readonly placardKpa: number | null;
  /** The same at full load. */
  readonly placardFullKpa: number | null;
  /** Stamped or the maker's, mm. */
  readonly discMinimumMm: number | null;
  /** New lining of pad or shoe, mm. */
  readonly liningNewMm: number | null;
  readonly tyreSize: string;
  /** How its wheels are hung; null for the usual: independent where it steers, rigid where it does not. */
  readonly suspension: 'independent' | 'rigid' | null;
}

/** What the meter counts. */
export const METER_UNITS = ['km', 'h'] as const;
/** What the vehicle counts: kilometres or hours. */
export type MeterUnit = (typeof METER_UNITS)[number];

/** A vehicle as the workshop knows it; its sheet is part of it. */
export interface Vehicle {
  readonly id: string;
  /** The workshop's own short name, e.g. `FH 07`. */
  readonly fleetCode: string;
  readonly plate: string;
  readonly vin: string;
  readonly make: string;
  readonly model: string;
  readonly year: number;
  readonly class: VehicleClass;
  /** From the front. */
  readonly axles: readonly Axle[];
  readonly use: string;
  readonly meterUnit: MeterUnit;
  readonly makeUp: MakeUp;
  readonly spec: SpecSheet;
}

/** An axle of which nothing is known but how it is made. */
export const PLAIN_AXLE: Axle = {
  dual: false,
  brake: 'disc',
  steered: false,
  driven: false,
  placardKpa: null,
  placardFullKpa: null,
  discMinimumMm: null,
  liningNewMm: null,
  tyreSize: '',
  suspension: null,
};

/** A side of the vehicle, seen from its seat. */
export type Side = 'L' | 'R';
/** Axles are counted from the front. */
export const AXLE_NUMBERS = [1, 2, 3, 4] as const;
/** An axle, counted from the front. */
export type AxleNumber = (typeof AXLE_NUMBERS)[number];
/** Where wheels are bolted on: axle and vehicle side. */
export type Hub = `${AxleNumber}${Side}`;
/** One of a dual pair: the outer or the inner. */
export type Twin = `${Hub}${'o' | 'i'}`;
/** Neutral place: a whole axle, a hub, or one of a dual pair; empty where a point has none. */
export type Place = '' | `${AxleNumber}` | Hub | Twin;

/**
 * Hubs in walking order: round the vehicle always in the same direction, from the left front,
 * along the front, down the right side and back up the left.
 */
export function hubPlaces(axles: readonly Axle[]): Hub[] {
  const [first, ...rest] = AXLE_NUMBERS.slice(0, axles.length);
  if (first === undefined) return [];
  const back = [...rest].reverse();
  return [`${first}L`, `${first}R`, ...rest.map((n): Hub => `${n}R`), ...back.map((n): Hub => `${n}L`)];
}

/** The tyres at one hub: one, or outer then inner of a dual pair. */
export function tyresAtHub(axles: readonly Axle[], hub: Hub): Place[] {
  return axleAt(axles, hub)?.dual ? [`${hub}o`, `${hub}i`] : [hub];
}

/** The axle a place belongs to, undefined for a place the vehicle does not have. */
export function axleAt(axles: readonly Axle[], place: Place): Axle | undefined {
  const parsed = parsePlace(place);
  return parsed ? axles[parsed.axle - 1] : undefined;
}

/** The same place on the other side: `1L` → `1R`, `2Lo` → `2Ro`; a whole axle is its own. */
export function oppositePlace(place: Place): Place {
  const parsed = parsePlace(place);
  return parsed?.side ? placeOf({ ...parsed, side: parsed.side === 'L' ? 'R' : 'L' }) : place;
}

/** The same side on the other of two axles: `1L` → `2L`; undefined where there are not just two, or the tyres do not pair. */
export function otherAxlePlace(axles: readonly Axle[], place: Place): Place | undefined {
  const [front, rear] = axles;
  const parsed = parsePlace(place);
  if (!parsed || axles.length !== 2 || front?.dual || rear?.dual) return undefined;
  return placeOf({ ...parsed, axle: parsed.axle === 1 ? 2 : 1 });
}
