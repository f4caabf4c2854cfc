import type { YardEntry } from '@weskopos/contract';
import { startTransition, useEffect, useMemo, useState } from 'react';
import { useBriefs } from '../../sync/useLife';
import { addTo, blankFinder, findablesOf, findingsOf, found, type Findable, type Finder } from './findIn';

/** Below this much of an idle moment, ms, the next one is waited for: a letter comes before another vehicle. */
const SPARE_MS = 2;
/** Waited so long for an idle moment at most, ms: the search must not starve on a busy page. */
const PATIENCE_MS = 300;
/** Of a turn that a browser without idle moments gives, ms. */
const TURN_MS = 8;

interface Moment {
  readonly timeRemaining: () => number;
}

/** The next moment in which nothing else is to be done. */
function idleMoment(): Promise<Moment> {
  return new Promise((resolve) => {
    if (typeof requestIdleCallback === 'function') requestIdleCallback(resolve, { timeout: PATIENCE_MS });
    else
      setTimeout(() => {
        const began = performance.now();
        resolve({ timeRemaining: () => TURN_MS - (performance.now() - began) });
      });
  });
}

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
      const show = () =>
        startTransition(() => {
          if (!left) setIndex({ finder, size: finder.known.size });
        });
      let moment = await idleMoment();
      const add = async <T>(list: readonly T[], findables: (one: T) => readonly Findable[]) => {
        for (const one of list) {
          if (moment.timeRemaining() < SPARE_MS) moment = await idleMoment();
          if (left) return;
          addTo(finder, findables(one));
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
