import { useLayoutEffect, useState } from 'react';
import { flushSync } from 'react-dom';

/** True while the page is laid out for paper. */
export function useIsPrinting(): boolean {
  const [printing, setPrinting] = useState(false);
  useLayoutEffect(() => {
    // All of it has to be there when the event returns.
    const begin = () => flushSync(() => setPrinting(true));
    const end = () => setPrinting(false);
    window.addEventListener('beforeprint', begin);
    window.addEventListener('afterprint', end);
    return () => {
      window.removeEventListener('beforeprint', begin);
      window.removeEventListener('afterprint', end);
    };
  }, []);
  return printing;
}
