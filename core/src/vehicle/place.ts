import { oneOf } from '../sums/keyed';
import type { Axle, Place, Side } from './vehicle';

/** What a place says. */
export interface ParsedPlace {
  /** From the front, counted from 1. */
  readonly axle: number;
  /** Null for a whole axle. */
  readonly side: Side | null;
  /** Which of a dual pair; null for the only one, or both. */
  readonly tyre: 'o' | 'i' | null;
}

const SIDES = ['L', 'R'] as const satisfies readonly Side[];
const TWINS = ['o', 'i'] as const;
const PATTERN = /^([1-4])(?:([LR])([oi])?)?$/;
/** What any place matches; empty where a point has none. */
export const PLACE_PATTERN = /^(?:[1-4](?:[LR][oi]?)?)?$/;
/** Seats of wheels: at a hub, one of a dual pair, or the spare. */
export const WHEEL_PATTERN = /^(?:[1-4][LR][oi]?|spare)$/;

/** Takes a place apart: `2Lo` → axle 2, left, outer. Null for none and for what is no place. */
export function parsePlace(place: Place): ParsedPlace | null {
  const [, axle, side, tyre] = PATTERN.exec(place) ?? [];
  if (axle === undefined) return null;
  return {
    axle: Number(axle),
    side: oneOf(SIDES, side ?? '') ?? null,
    tyre: oneOf(TWINS, tyre ?? '') ?? null,
  };
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
