import type { Life, Visit, VisitSummary, YardEntry } from '@weskopos/contract';
import { BASELINE, verdictFor } from '@weskopos/core';
import { useMemo } from 'react';
import { yardWith } from '../../sync/foldLife';
import { selectLife, useWorkshop } from '../../sync/workshop';

/** The yard as this device knows it, waiting changes included. */
export function useYard(): YardEntry[] {
  const entries = useWorkshop((state) => state.entries);
  const lives = useWorkshop((state) => state.lives);
  const pending = useWorkshop((state) => state.pending);
  const person = useWorkshop((state) => state.person);
  return useMemo(() => {
    const ids = new Set([
      ...Object.keys(lives),
      ...pending.flatMap((operation) => (operation.kind === 'vehicle.put' ? [operation.body.id] : [])),
    ]);
    const known = [...ids].flatMap((id) => selectLife({ lives, pending, person }, id) ?? []);
    return yardWith(entries ?? [], known, summarise);
  }, [entries, lives, pending, person]);
}

function summarise({ vehicle }: Life, { inspection, findings }: Visit): VisitSummary {
  const { id: inspectionId, startedAt, meterKm, signedAt } = inspection;
  if (!signedAt) return { inspectionId, startedAt, meterKm, signedAt, grade: null, counts: null };
  const { grade, counts } = verdictFor(vehicle, inspection, findings, BASELINE);
  return { inspectionId, startedAt, meterKm, signedAt, grade, counts: { ...counts } };
}
