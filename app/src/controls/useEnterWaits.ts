import { useEffect, useRef } from 'react';

/**
 * Enter takes the first find, also where the finds are not there yet: then as soon as they come, unless something else is
 * typed before.
 *
 * @param wanted what is typed
 * @param first the first find; undefined while there is none
 * @returns what Enter does
 */
export function useEnterWaits<T>(wanted: string, first: T | undefined, take: (first: T) => void): () => void {
  const entered = useRef<string | null>(null);
  useEffect(() => {
    if (entered.current !== wanted || first === undefined) return;
    entered.current = null;
    take(first);
  });
  return () => {
    if (wanted === '') return;
    if (first === undefined) entered.current = wanted;
    else take(first);
  };
}
