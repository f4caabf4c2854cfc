import { startTransition, useEffect, useState } from 'react';

/**
 * A value a moment late: what follows from it begins once the touch or letter that changed it was painted, and gives way
 * to the next. Deferring alone is not enough: what is laid out at the end of it can hold the paint up.
 */
export function useAfterPaint<T extends string>(value: T): T {
  const [late, setLate] = useState(value);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const frame = requestAnimationFrame(() => {
      // Behind the frame, when it is on the screen.
      timer = setTimeout(() => startTransition(() => setLate(value)));
    });
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(timer);
    };
  }, [value]);
  return late;
}
