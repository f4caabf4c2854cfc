import { oneOf } from '../sums/keyed';
import { AXLE_NUMBERS, type Axle, type AxleNumber, type Hub, type Place, type Side, type Twin } from './vehicle';

/** What a place says. */
export interface ParsedPlace {
  /** From the front, counted from 1. */
  readonly axle: AxleNumber;
  /** Null for a whole axle. */
  readonly side: Side | null;
  /** Which of a dual pair; null for the only one, or both. */
  readonly tyre: 'o' | 'i' | null;
}

const SIDES = ['L', 'R'] as const satisfies readonly Side[];
const TWINS = ['o', 'i'] as const;
const PATTERN = /^([1-4])(?:([LR])([oi])?)?$/;
/** Where a tyre of the set that is not on the vehicle is kept, named after the wheel it comes from. */
export type Stored = `kept-${Hub | Twin}`;
/** Where a wheel can sit: at a hub, as one of a dual pair, as the spare, or in store. */
export type Wheel = Hub | Twin | 'spare' | Stored;
/** Where a part can sit. */
export type Seat = Place | 'spare' | Stored;

/** Takes a place apart: `2Lo` → axle 2, left, outer. Null for none and for what is no place. */
export function parsePlace(text: string): ParsedPlace | null {
  const [, number, side, tyre] = PATTERN.exec(text) ?? [];
  const axle = AXLE_NUMBERS.find((n) => String(n) === number);
  if (axle === undefined) return null;
  return {
    axle,
    side: oneOf(SIDES, side ?? '') ?? null,
    tyre: oneOf(TWINS, tyre ?? '') ?? null,
  };
}

/** The place its parts make; the opposite of {@link parsePlace}. */
export function placeOf({ axle, side, tyre }: ParsedPlace): Place {
  if (side === null) return `${axle}`;
  return tyre === null ? `${axle}${side}` : `${axle}${side}${tyre}`;
}

/** Whether a text is a place, the empty one included. */
export const isPlace = (text: string): text is Place => text === '' || parsePlace(text) !== null;

/** Whether a text is where a wheel can sit. */
export const isWheel = (text: string): text is Wheel => text === 'spare' || isStored(text) || isOnHub(text);

/** Whether a text is a wheel's place on the vehicle. */
export const isOnHub = (text: string): text is Hub | Twin => (parsePlace(text)?.side ?? null) !== null;
const STORED = 'kept-';

/** Where the tyre of a wheel is kept while the other set is on. */
export const storedOf = (wheel: Hub | Twin): Stored => `${STORED}${wheel}`;

/** Whether a seat is in store. */
export const isStored = (seat: string): seat is Stored => seat.startsWith(STORED) && isOnHub(seat.slice(STORED.length));

/** Whether a part that sits there runs on the road. */
export const isOnRoad = (seat: Seat): seat is Place => seat !== 'spare' && !isStored(seat);

/** The whole axle a place is on; null for none. */
export function axlePlaceOf(place: Place): Place | null {
  const parsed = parsePlace(place);
  return parsed && placeOf({ axle: parsed.axle, side: null, tyre: null });
}

/** The hub a place is at; null for a whole axle and for none. */
export function hubOf(place: Place): Hub | null {
  const parsed = parsePlace(place);
  return parsed?.side ? `${parsed.axle}${parsed.side}` : null;
}

/** What a point repeats over. */
export type Repeats = 'tyre' | 'hub' | 'axle' | null;

/** Whether a place is one where a point that repeats so can be: a tyre's may name one of a dual pair, a hub's names its side. */
export function isPlaceOf(repeats: Repeats, place: Place): boolean {
  if (repeats === null) return place === '';
  const parsed = parsePlace(place);
  if (!parsed) return false;
  if (repeats === 'axle') return parsed.side === null;
  return parsed.side !== null && (repeats === 'tyre' || parsed.tyre === null);
}

/** Whether the vehicle has the place: the axle is there, and a tyre's place names one of a pair just where there are pairs. */
export function hasPlace(axles: readonly Pick<Axle, 'dual'>[], repeats: Repeats, place: Place): boolean {
  if (place === '') return true;
  const parsed = parsePlace(place);
  const axle = parsed && axles[parsed.axle - 1];
  if (!axle) return false;
  return (parsed.tyre !== null) === (axle.dual && repeats === 'tyre');
}

/** The other tyre of a dual pair: `2Lo` → `2Li`; null for one that is single. */
export function twinOf(place: Place): Place | null {
  const parsed = parsePlace(place);
  return parsed?.tyre ? placeOf({ ...parsed, tyre: parsed.tyre === 'o' ? 'i' : 'o' }) : null;
}
