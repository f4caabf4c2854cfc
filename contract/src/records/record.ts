import type { z } from 'zod';

/** What a stored record is before it is known to be one. */
export type Raw = Readonly<Record<string, unknown>>;

export const isRaw = (value: unknown): value is Raw =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Items of a list changed one by one; what is no list passes through. */
export const mapped = (list: unknown, change: (item: unknown) => unknown): unknown =>
  Array.isArray(list) ? list.map(change) : list;

/** What lifting an older record takes. */
export interface Lifting {
  readonly name: string;
  /** Counts from 1; one more than there are upgrades. Written down with every record. */
  readonly version: number;
  /** `upgrades[n]` lifts version n + 1 to n + 2. */
  readonly upgrades: readonly ((raw: Raw) => Raw)[];
  /** The version of a record from before versions were written down, by what it has and has not. */
  readonly versionOf: (raw: Raw) => number;
}

/** How one kind of record is shaped and was shaped before. One file each, with where it lies in the database. */
export interface RecordKind<T> extends Lifting {
  /** Today's shape, and nothing older. */
  readonly schema: z.ZodType<T>;
}

/** Puts a record's parts together; its version follows from its upgrades. */
export function recordKind<T>(kind: Omit<RecordKind<T>, 'version'>): RecordKind<T> {
  return { ...kind, version: kind.upgrades.length + 1 };
}

/** A record that a newer program wrote: left alone, since nothing here knows what it says. */
export class NewerRecord extends Error {
  constructor(
    readonly record: string,
    readonly version: number,
    readonly known: number,
  ) {
    super(`a ${record} of version ${version} was written by a newer program; this one knows up to ${known}`);
  }
}

/**
 * Lifts what an older program wrote to today's shape. What is no record passes through, to be refused by the schema.
 *
 * @param version as it was written down; left out for a record from before that
 * @throws {@link NewerRecord}
 */
export function lift(kind: Lifting, raw: unknown, version?: number): unknown {
  if (!isRaw(raw)) return raw;
  const from = version ?? kind.versionOf(raw);
  if (from > kind.version) throw new NewerRecord(kind.name, from, kind.version);
  return kind.upgrades.slice(from - 1).reduce<Raw>((lifted, upgrade) => upgrade(lifted), raw);
}
