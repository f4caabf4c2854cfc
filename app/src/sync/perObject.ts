/**
 * Remembers what is made of an object, a life or its brief, as long as both it and what it is made with are the same
 * objects: they are others when something in them changed. Only the newest is kept, and nothing of an object that is gone.
 *
 * @param make told the object and what it is made with
 */
export function perObject<O extends object, Given extends readonly unknown[], T>(
  make: (one: O, ...given: Given) => T,
): (one: O, ...given: Given) => T {
  const made = new WeakMap<O, { readonly given: Given; readonly result: T }>();
  return (one, ...given) => {
    const known = made.get(one);
    if (known?.given.every((part, index) => part === given[index])) return known.result;
    const result = make(one, ...given);
    made.set(one, { given, result });
    return result;
  };
}
