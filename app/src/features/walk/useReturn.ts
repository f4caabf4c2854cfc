import type { Visit } from '@weskopos/contract';
import { openEnds } from '@weskopos/core';
import { useEffect, useState } from 'react';
import { nowMs } from '../../sync/clock';

/** Longer away than this, and what is open comes first, ms. */
const PAUSE_MS = 10 * 60_000;
const markOf = (visitId: string) => `walk/${visitId}`;

/** The newest thing done in a visit, epoch ms. */
export function lastDone({ inspection, findings, acts }: Visit): number {
  return [...findings, ...acts].reduce(
    (latest, { at }) => Math.max(latest, Date.parse(at)),
    Date.parse(inspection.startedAt),
  );
}

/** Somebody comes back, after a pause or on another device, while something is open: `onReturn` shows it first, once. */
export function useReturn(visit: Visit, onReturn: () => void): void {
  const [due] = useState(() => {
    const known = sessionStorage.getItem(markOf(visit.inspection.id)) !== null;
    return openEnds(visit.acts).length > 0 && (!known || nowMs() - lastDone(visit) > PAUSE_MS);
  });
  const [go] = useState(() => onReturn);
  useEffect(() => {
    sessionStorage.setItem(markOf(visit.inspection.id), 'walked');
    if (due) go();
  }, [due, go, visit.inspection.id]);
}
