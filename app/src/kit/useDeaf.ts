import { useEffect, useState } from 'react';

/** How long what has just come up takes no touch, ms: the second half of a double tap was meant for what stood there before. */
export const DEAF_MS = 400;

/** Whether what `key` names has come up just now. */
export function useDeaf(key: string | number | boolean | undefined): boolean {
  const [heard, setHeard] = useState<typeof key | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setHeard(key), DEAF_MS);
    return () => clearTimeout(timer);
  }, [key]);
  return heard !== key;
}
