import type { YardEntry } from '@weskopos/contract';
import { startTransition, useEffect, useMemo, useState } from 'react';
import { useBriefs } from '../../sync/useLife';
import { addTo, blankFinder, findablesOf, findingsOf, found, type Findable, type Finder } from './findIn';

/** So many vehicles are made findable in one turn: a letter comes between two. */
const IN_ONE_GO = 10;
/** What was found is told anew after so many turns. */
const TURNS_TOLD = 8;

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
      const add = async <T>(list: readonly T[], findables: (one: T) => readonly Findable[]) => {
        for (let at = 0; at < list.length && !left; at += IN_ONE_GO) {
          addTo(finder, list.slice(at, at + IN_ONE_GO).flatMap(findables));
          if ((at / IN_ONE_GO) % TURNS_TOLD === 0) show();
          await new Promise((resolve) => setTimeout(resolve));
        }
        show();
      };
      await add(entries, findablesOf);
      await add([...briefs.values()], ({ vehicle, wrong }) => findingsOf(vehicle, wrong));
    };
    void fill();
    return () => {
      left = true;
    };
  }, [asked, entries, briefs]);
  return useMemo(() => (index && asked ? found(index.finder, wanted) : null), [index, asked, wanted]);
}
