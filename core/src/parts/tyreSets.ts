import { storedOf, isStored, type Wheel } from '../vehicle/place';
import type { Hub, Twin } from '../vehicle/vehicle';
import { entriesOf, standingEntries, type LifeEntry, type LifeEntryOf } from './lifeEntry';

type Moves = LifeEntryOf<'rotate'>['moves'];

/** The tyres that are on go into store, each named after its wheel, and those that were kept from there come on. */
export function changeOfSets(wheels: readonly (Hub | Twin)[]): { readonly from: Wheel; readonly to: Wheel }[] {
  return wheels.flatMap((wheel) => [
    { from: wheel, to: storedOf(wheel) },
    { from: storedOf(wheel), to: wheel },
  ]);
}

/** Whether tyres were taken from store, or put there: no rotation. */
export const isChangeOfSets = (moves: Moves): boolean => moves.some(({ to }) => isStored(to));

/** Every time a vehicle's two sets were changed for each other, oldest first; what was taken back left out. */
export function changesOfSets(entries: readonly LifeEntry[]): LifeEntryOf<'rotate'>[] {
  return entriesOf(standingEntries(entries), 'rotate').filter(({ moves }) => isChangeOfSets(moves));
}
