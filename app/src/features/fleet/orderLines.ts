import { axlePlaceOf } from '@weskopos/core';
import { words } from '@weskopos/words/en';
import type { FleetPart } from '../charts/fleetPart';
import { fleet as say } from '@weskopos/words/en/pages/fleet';

/** Bought as the set of an axle: any one of its parts ends the set. */
const SETS: readonly string[] = ['lining', 'shoe', 'disc'];

/** What a part is ordered as. */
export function wantedName({ measure, size }: FleetPart): string {
  const kind = words.wearKind[measure] ?? measure;
  return measure === 'tread' ? `${kind} ${size || say.ofUnknownSize}` : say.axleSet(kind);
}

/** Of each set only the part that ends it first; tyres each for itself. @param parts soonest first */
export function oneOfEachSet(parts: readonly FleetPart[]): FleetPart[] {
  const first = new Map<string, FleetPart>();
  for (const part of parts) {
    const set = SETS.includes(part.measure) ? `${part.measure} ${axlePlaceOf(part.place) ?? ''}` : part.key;
    const key = `${part.vehicle.vehicleId} ${set}`;
    if (!first.has(key)) first.set(key, part);
  }
  return [...first.values()];
}
