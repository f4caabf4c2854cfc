import { groupBy } from '../sums/groupBy';
import type { Range } from '../trends/forecast';

const DAY_MS = 86_400_000;

/** A part that will be wanted once, some time. */
export interface WantedPart {
  /** What is ordered: parts of one name are one line. */
  readonly name: string;
  /** When the forecast was made, and days from then. */
  readonly at: string;
  readonly days: Range;
}

/** How many of one thing are to be expected in one stretch, and how far that may stray. */
export interface Expected {
  readonly name: string;
  /** By stretch: the mean number, and its standard deviation. */
  readonly counts: readonly { readonly mean: number; readonly sigma: number }[];
}

/** Chance that it is wanted by so many days after the forecast: straight between the ends told. */
export function chanceBy({ low, mid, high }: Range, days: number): number {
  const points: [number, number][] = [
    [0, 0],
    [low, 0.1],
  ];
  if (mid !== null) points.push([mid, 0.5]);
  if (high !== null) points.push([high, 0.9], [high + Math.max(30, high - (mid ?? low)), 1]);
  if (days < 0) return 0;
  const passed = points.findLastIndex(([x]) => x <= days);
  const [x0, y0] = points[passed] ?? [0, 0];
  const next = points[passed + 1];
  return next ? y0 + ((next[1] - y0) * (days - x0)) / (next[0] - x0) : y0;
}

/**
 * Parts to be expected by stretch, from the chance of each. What is wanted already counts in the first stretch. Parts are
 * taken as independent of one another; those of one vehicle are not quite, so the true spread is a little wider.
 *
 * @param edges ends of the stretches as ISO dates, rising; the first stretch ends at the first edge
 */
export function expectedParts(parts: readonly WantedPart[], edges: readonly string[]): Expected[] {
  const names = [...new Set(parts.map(({ name }) => name))].sort((a, b) => a.localeCompare(b, 'en'));
  const byName = groupBy(parts, ({ name }) => name);
  const ends = edges.map((edge) => Date.parse(edge));
  return names.map((name) => {
    const ones = (byName.get(name) ?? []).map(({ at, days }) => ({ from: Date.parse(at), days }));
    let before = ones.map(() => 0);
    const counts = ends.map((end) => {
      const by = ones.map(({ from, days }) => chanceBy(days, (end - from) / DAY_MS));
      const chances = by.map((chance, index) => Math.max(0, chance - (before[index] ?? 0)));
      before = by;
      return {
        mean: chances.reduce((sum, chance) => sum + chance, 0),
        sigma: Math.sqrt(chances.reduce((sum, chance) => sum + chance * (1 - chance), 0)),
      };
    });
    return { name, counts };
  });
}
