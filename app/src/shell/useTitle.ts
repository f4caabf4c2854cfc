import { useEffect } from 'react';
import { spine as say } from '@weskopos/words/en/pages/spine';

/** Names the page in the browser's tab and history: what it is, what it is about, the product. */
export function useTitle(...parts: readonly string[]): void {
  const title = [...parts.filter(Boolean), say.product].join(' · ');
  useEffect(() => {
    document.title = title;
  }, [title]);
}
