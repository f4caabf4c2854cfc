/** Keys of a table written out in the program; one that came from outside may have more than its type says. */
export function typedKeys<Key extends string>(table: Readonly<Record<Key, unknown>>): Key[] {
  return Object.keys(table) as Key[];
}

/** A table with one entry for each key. */
export function recordOf<Key extends string, Value>(
  keys: readonly Key[],
  valueOf: (key: Key) => Value,
): Record<Key, Value> {
  return Object.fromEntries(keys.map((key) => [key, valueOf(key)])) as Record<Key, Value>;
}

/** A table with another value at every key. */
export function mapRecord<From, To>(
  table: Readonly<Record<string, From>>,
  valueOf: (value: From) => To,
): Record<string, To> {
  return Object.fromEntries(Object.entries(table).map(([key, value]) => [key, valueOf(value)]));
}

/** Whether a value is one of a list's. */
export function isOneOf<Value>(list: readonly Value[], value: unknown): value is Value {
  return list.some((one) => one === value);
}

/** The one of a list that a text names; undefined where none does. */
export function oneOf<Value extends string>(list: readonly Value[], text: string): Value | undefined {
  return list.find((one) => one === text);
}

/** What a table says of a key that may not be in it. */
export function entryOf<Value>(table: Readonly<Record<string, Value>>, key: string): Value | undefined {
  return Object.hasOwn(table, key) ? table[key] : undefined;
}
