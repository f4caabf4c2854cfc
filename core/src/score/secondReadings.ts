import type { MeasureCode } from '../catalogue/measures';
import { readingValue, type Reading } from '../inspection/finding';
import type { TrendEntry } from '../trends/standingLooks';
import { groupBy } from '../sums/groupBy';
import type { Repeats } from './repeatability';

/** An entry with the name of who made it. */
export type SignedEntry = TrendEntry & { readonly by: string };

/** Two persons' readings of one thing: how much more the first reads than the second, stored unit. */
export interface Hands {
  readonly measure: MeasureCode;
  readonly names: readonly [string, string];
  readonly pairs: number;
  readonly bias: number;
  /** Standard deviation of single differences. */
  readonly sigma: number;
}

/**
 * Repeats of one reading by one hand, pooled: how far they lie apart is what the gauge and the hand do. A look that was
 * read again later was read all the same; what an entry only took over from the one before counts once.
 */
export function repeatsOf(entries: readonly TrendEntry[]): Repeats[] {
  const read = ownReadings(entries).filter(({ reading }) => reading.values.length > 1);
  return inOrder(
    groupBy(read, ({ reading }) => reading.measure),
    (measure, ones) => {
      const pairs = ones.reduce((sum, { reading }) => sum + reading.values.length - 1, 0);
      const squares = ones.reduce((sum, { reading }) => sum + squaresAbout(reading.values, readingValue(reading)), 0);
      return { measure, pairs, sigma: Math.sqrt(squares / pairs) };
    },
  );
}

/** What two persons read of one thing in one visit; each person's last own look counts. One difference alone says nothing of two hands. */
export function handsOf(entries: readonly SignedEntry[]): Hands[] {
  const looks = new Map<string, Map<string, { readonly measure: MeasureCode; readonly value: number }>>();
  for (const { entry, reading } of ownReadings(entries)) {
    if (reading.bound !== 'exact') continue;
    const { measure, spot, phase } = reading;
    const thing = [entry.inspectionId, entry.point, entry.place, measure, spot, phase].join(' ');
    const here = looks.get(thing) ?? new Map<string, { measure: MeasureCode; value: number }>();
    looks.set(thing, here.set(entry.by, { measure, value: readingValue(reading) }));
  }
  const differences = [...looks.values()].flatMap((byPerson) => {
    const read = [...byPerson].sort(([a], [b]) => (a < b ? -1 : 1));
    return read.flatMap(([first, one], at) =>
      read.slice(at + 1).map(([second, other]) => ({
        measure: one.measure,
        names: [first, second] as const,
        by: one.value - other.value,
      })),
    );
  });
  return inOrder(
    groupBy(differences, ({ measure, names }) => [measure, ...names].join('\n')),
    (_, ones) => {
      const [first] = ones;
      if (!first || ones.length < 2) return null;
      const bias = ones.reduce((sum, { by }) => sum + by, 0) / ones.length;
      const squares = squaresAbout(
        ones.map(({ by }) => by),
        bias,
      );
      const { measure, names } = first;
      return { measure, names, pairs: ones.length, bias, sigma: Math.sqrt(squares / (ones.length - 1)) };
    },
  );
}

/** Every reading somebody took, oldest first: not carried, and not the figure of the entry before under other words. */
function ownReadings<E extends TrendEntry>(entries: readonly E[]): { readonly entry: E; readonly reading: Reading }[] {
  const byId = new Map(entries.map((entry) => [entry.id, entry]));
  return [...entries]
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at))
    .filter(({ carried }) => carried === null)
    .flatMap((entry) => {
      const before = byId.get(entry.parent ?? '');
      return entry.readings
        .filter((reading) => !before || !saysTheSame(before, reading))
        .map((reading) => ({ entry, reading }));
    });
}

function saysTheSame({ readings }: TrendEntry, { measure, spot, phase, bound, ...now }: Reading): boolean {
  const then = readings.find((one) => one.measure === measure && one.spot === spot && one.phase === phase);
  return then?.bound === bound && readingValue(then) === readingValue(now);
}

const squaresAbout = (values: readonly number[], mean: number) =>
  values.reduce((sum, value) => sum + (value - mean) ** 2, 0);

/** What is made of each group, by the groups' keys in order; null is left out. */
function inOrder<K extends string, T, R>(
  groups: ReadonlyMap<K, readonly T[]>,
  make: (key: K, ones: readonly T[]) => R | null,
): R[] {
  return [...groups]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([key, ones]) => {
      const made = make(key, ones);
      return made === null ? [] : [made];
    });
}
