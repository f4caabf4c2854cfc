import type { YardEntry } from '@weskopos/contract';
import { useEffect, useMemo, useState } from 'react';
import { useRulebooks } from '../../sync/useLife';
import { rulesFor, selectLife, useWorkshop } from '../../sync/workshop';
import { addTo, blankFinder, findablesOf, findingsOf, found, type Finder } from './findIn';
import { standingOf } from './today';

/** Finds vehicles, their pages and what stands open at them, on this device alone; nothing is loaded before somebody searches. */
export function useFinder(entries: readonly YardEntry[], wanted: string) {
  const rulebooks = useRulebooks();
  const asked = wanted !== '';
  // The index, and how much is in it: it grows while one types.
  const [index, setIndex] = useState<{ readonly finder: Finder; readonly size: number } | null>(null);
  useEffect(() => {
    if (!asked) return undefined;
    let left = false;
    const fill = async () => {
      const { default: Index } = await import('minisearch');
      const finder = blankFinder(Index);
      addTo(finder, entries.flatMap(findablesOf));
      for (const { vehicle } of entries) {
        if (left) return;
        setIndex({ finder, size: finder.known.size });
        await new Promise((resolve) => setTimeout(resolve));
        const life = selectLife(useWorkshop.getState(), vehicle.id);
        if (!life) continue;
        addTo(finder, findingsOf(vehicle, standingOf(life, (inspection) => rulesFor(rulebooks, inspection)).points));
      }
      if (!left) setIndex({ finder, size: finder.known.size });
    };
    void fill();
    return () => {
      left = true;
    };
  }, [asked, entries, rulebooks]);
  return useMemo(() => (index && asked ? found(index.finder, wanted) : null), [index, asked, wanted]);
}
