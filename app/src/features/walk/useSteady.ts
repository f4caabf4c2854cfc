import { useCallback, useEffect, useRef } from 'react';

/** A handler that stays the same object while it always does what the newest render means: for parts that are drawn rarely. */
export function useSteady<Args extends readonly unknown[]>(handler: (...args: Args) => void): (...args: Args) => void {
  const newest = useRef(handler);
  useEffect(() => {
    newest.current = handler;
  });
  return useCallback((...args: Args) => newest.current(...args), []);
}
