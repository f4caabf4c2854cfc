import type { Life, Visit, VisitSummary, YardEntry } from '@weskopos/contract';
import { lifeStanding, standingSummary, type Rulebook } from '@weskopos/core';
import { useMemo } from 'react';
import { newestVisits, yardWith } from '../../sync/foldLife';
import { perLife } from '../../sync/perLife';
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
    return yardWith(entries ?? [], known, (life) => summaryOfLife(life, rulebooks));
  }, [entries, lives, pending, person, rulebooks]);
}

/** Only a life that changed is summed up again. */
const summaryOfLife = perLife(
  (life: Life, rulebooks: readonly Rulebook[]): Pick<YardEntry, 'standing' | 'last' | 'open'> => {
    const { signed, open } = newestVisits(life);
    const standing = signed
      ? standingSummary(lifeStanding(life, (inspection) => rulesFor(rulebooks, inspection)))
      : null;
    return { standing, last: signed ? summaryOf(signed) : null, open: open ? summaryOf(open) : null };
  },
);

/** The verdict is left to the standing: it is the worst of more than this visit. */
function summaryOf({ inspection: { id, startedAt, meter, signedAt } }: Visit): VisitSummary {
  return { inspectionId: id, startedAt, meter, signedAt, grade: null, counts: null };
}
