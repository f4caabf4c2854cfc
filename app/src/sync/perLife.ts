import type { Life } from '@weskopos/contract';

/**
 * Remembers what is made of a life as long as both it and what it is made with are the same objects: a life is another
 * one when something in it changed. Only the newest is kept, and nothing of a life that is gone.
 *
 * @param make told the life and what it is made with
 */
export function perLife<Given extends readonly unknown[], T>(
  make: (life: Life, ...given: Given) => T,
): (life: Life, ...given: Given) => T {
  const made = new WeakMap<Life, { readonly given: Given; readonly result: T }>();
  return (life, ...given) => {
    const known = made.get(life);
    if (known?.given.every((one, index) => one === given[index])) return known.result;
    const result = make(life, ...given);
    made.set(life, { given, result });
    return result;
  };
}
