import { useEffect, useRef, type ComponentRef } from 'react';
import type { Text } from 'react-native';

/** The page that was loaded is read from its beginning; every later one from its heading. */
let loaded = false;

/** Takes the focus to the heading of a view one came to, so that it is read and keys start there. */
export function useHeadingFocus() {
  const heading = useRef<ComponentRef<typeof Text>>(null);
  useEffect(() => {
    const element = heading.current as unknown as HTMLElement | null;
    // A field that asked for it keeps it.
    const taken = document.activeElement instanceof HTMLInputElement;
    if (loaded && element && !taken) element.focus({ preventScroll: true });
    loaded = true;
  }, []);
  return heading;
}
