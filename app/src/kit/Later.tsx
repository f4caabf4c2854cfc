import { useDeferredValue, type ReactNode } from 'react';

/** What stands below the first look at a page: laid out once that is seen, in turns that a finger comes between. */
export function Later({ children }: { readonly children: ReactNode }) {
  return useDeferredValue(true, false) ? children : null;
}
