import type { Life, Visit } from '@weskopos/contract';
import {
  currentFindings,
  lookAheadOf,
  pointKey,
  readingAt,
  readingValue,
  toldBy,
  type AheadNote,
  type FleetKnowledge,
  type Rules,
} from '@weskopos/core';
import { visitsBefore } from './sheetOfVisit';

/** So far a device's chance may lie from the workshop's: it forecasts by what the fleet had taught when it was last near. */
const AS_FAR_AS = 0.25;

/**
 * The chances a signature brings, held against the workshop's own: a grade hangs on them. What the workshop cannot tell, or
 * nobody read, is not kept, and what lies far from its own gives way to it.
 */
export function heldAhead(
  told: readonly AheadNote[],
  life: Life,
  visit: Visit,
  signedAt: string,
  { rules, fleet }: { readonly rules: Rules; readonly fleet: FleetKnowledge },
): AheadNote[] {
  if (told.length === 0) return [];
  const own = lookAheadOf({
    vehicle: life.vehicle,
    inspection: visit.inspection,
    visits: visitsBefore(life, visit),
    entries: toldBy(life.entries, signedAt),
    rules,
    fleet,
  });
  const { standing } = currentFindings(visit.findings);
  return told.flatMap((note) => {
    const { point, place, measure, spot, value, limit, chance } = note;
    const read = readingAt(standing.get(pointKey(point, place)), measure, spot);
    if (!read || readingValue(read) !== value) return [];
    const ours = own(note, read);
    if (!ours) return [];
    return [ours.limit === limit && Math.abs(ours.chance - chance) <= AS_FAR_AS ? note : ours];
  });
}
