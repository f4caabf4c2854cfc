import type { Life, YardEntry } from '@weskopos/contract';
import { isOpen, openEnds } from '@weskopos/core';
import { useMemo } from 'react';
import { useWorkshop } from '../../sync/workshop';
import type { SpineId } from './places';

/** Whether a vehicle has a visit that is half done: by its life where that is at hand. */
const isOnLift = (entry: YardEntry, life: Life | undefined): boolean =>
  life ? life.visits.some(({ inspection }) => isOpen(inspection)) : entry.open !== null;

/** What waits at each stop of the spine; stops where nothing waits are left out. */
export function waitingAt(
  entries: readonly YardEntry[],
  briefs: Readonly<Record<string, YardEntry>>,
  lives: Readonly<Record<string, Life>>,
  refused: number,
  here: Life | undefined,
): ReadonlyMap<SpineId, number> {
  const visit = here?.visits.findLast(({ inspection }) => isOpen(inspection));
  const waits: readonly (readonly [SpineId, number])[] = [
    ['yard', entries.filter((entry) => isOnLift(briefs[entry.vehicle.id] ?? entry, lives[entry.vehicle.id])).length],
    ['me', refused],
    ['visit', visit ? openEnds(visit.acts).length : 0],
  ];
  return new Map(waits.filter(([, count]) => count > 0));
}

/** Vehicles on the lift, changes the workshop did not take, and what hangs open at the vehicle one is at. */
export function useWaiting(here: Life | undefined): ReadonlyMap<SpineId, number> {
  const entries = useWorkshop((state) => state.entries);
  const briefs = useWorkshop((state) => state.briefs);
  const lives = useWorkshop((state) => state.lives);
  const refused = useWorkshop((state) => state.refused.length);
  return useMemo(() => waitingAt(entries ?? [], briefs, lives, refused, here), [entries, briefs, lives, refused, here]);
}
