import type { YardEntry } from '@weskopos/contract';
import { startTransition, useEffect, useMemo, useState } from 'react';
import { useBriefs } from '../../sync/useLife';
import { addTo, blankFinder, findablesOf, findingsOf, found, type Finder } from './findIn';

/** So many vehicles are made findable between two letters of who types meanwhile. */
const IN_ONE_GO = 50;

/** Finds vehicles, their pages and what stands open at them, on this device alone; nothing is loaded before somebody searches. */
export function useFinder(entries: readonly YardEntry[], wanted: string) {
  const briefs = useBriefs();
  const asked = wanted !== '';
  // The index, and how much is in it: it grows while one types.
  const [index, setIndex] = useState<{ readonly finder: Finder; readonly size: number } | null>(null);
  useEffect(() => {
    if (!asked) return undefined;
    let left = false;
    const fill = async () => {
      const { default: Index } = await import('minisearch');
      const finder = blankFinder(Index);
      // In turns that a letter comes between.
      const show = () =>
        startTransition(() => {
          if (!left) setIndex({ finder, size: finder.known.size });
        });
      for (let at = 0; at < entries.length && !left; at += IN_ONE_GO) {
        addTo(finder, entries.slice(at, at + IN_ONE_GO).flatMap(findablesOf));
        show();
        await new Promise((resolve) => setTimeout(resolve));
      }
      for (const { vehicle, wrong } of briefs.values()) {
        if (left) return;
        addTo(finder, findingsOf(vehicle, wrong));
      }
      show();
    };
    void fill();
    return () => {
      left = true;
    };
  }, [asked, entries, briefs]);
  return useMemo(() => (index && asked ? found(index.finder, wanted) : null), [index, asked, wanted]);
}
