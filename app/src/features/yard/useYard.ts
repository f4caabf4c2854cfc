import type { Life, Visit, VisitSummary, YardEntry } from '@weskopos/contract';
import { verdictFor, type Rulebook } from '@weskopos/core';
import { useMemo } from 'react';
import { yardWith } from '../../sync/foldLife';
import { useRulebooks } from '../../sync/useLife';
import { rulesFor, selectLife, useWorkshop } from '../../sync/workshop';

/** The yard as this device knows it, waiting changes included. */
export function useYard(): YardEntry[] {
  const entries = useWorkshop((state) => state.entries);
  const lives = useWorkshop((state) => state.lives);
  const pending = useWorkshop((state) => state.pending);
  const person = useWorkshop((state) => state.person);
  const rulebooks = useRulebooks();
  return useMemo(() => {
    const ids = new Set([
      ...Object.keys(lives),
      ...pending.flatMap((operation) => (operation.kind === 'vehicle.put' ? [operation.body.id] : [])),
    ]);
    const known = [...ids].flatMap((id) => selectLife({ lives, pending, person }, id) ?? []);
    return yardWith(entries ?? [], known, (life, visit) => summarise(life, visit, rulebooks));
  }, [entries, lives, pending, person, rulebooks]);
}

function summarise({ vehicle }: Life, { inspection, findings }: Visit, rulebooks: readonly Rulebook[]): VisitSummary {
  const { id: inspectionId, startedAt, meter, signedAt } = inspection;
  if (!signedAt) return { inspectionId, startedAt, meter, signedAt, grade: null, counts: null };
  const { grade, counts } = verdictFor(vehicle, inspection, findings, rulesFor(rulebooks, inspection));
  return { inspectionId, startedAt, meter, signedAt, grade, counts: { ...counts } };
}
