import { pointKey } from '../catalogue/catalogue';
import equal from 'fast-deep-equal';
import { contentOf, type Finding } from './finding';

/** What stands for each point, and where two people's entries stand side by side. */
export interface CurrentFindings {
  /** The entry that stands for each point, by point key. */
  readonly standing: ReadonlyMap<string, Finding>;
  /** Points where entries that say different things stand beside each other; all kept, newest first. */
  readonly forks: ReadonlyMap<string, readonly Finding[]>;
}

/** What decides which of a point's entries stands. */
export type Placed = Pick<Finding, 'id' | 'parent' | 'point' | 'place' | 'at'>;

/** By the moment, not by its spelling: one device writes `+02:00`, the next `Z`. */
const newestFirst = (a: Placed, b: Placed) =>
  Date.parse(b.at) - Date.parse(a.at) || (a.id < b.id ? 1 : a.id > b.id ? -1 : 0);

/** For each point of one visit the entries nobody names as parent, newest first; the list may be in any order and with repeats. */
function endsOf<E extends Placed>(entries: readonly E[]): Map<string, readonly E[]> {
  const superseded = new Set(entries.map((entry) => entry.parent));
  const ends = new Map<string, Map<string, E>>();
  for (const entry of entries) {
    if (superseded.has(entry.id)) continue;
    const key = pointKey(entry.point, entry.place);
    const here = ends.get(key) ?? new Map<string, E>();
    ends.set(key, here.set(entry.id, entry));
  }
  return new Map([...ends].map(([key, byId]) => [key, [...byId.values()].sort(newestFirst)]));
}

/**
 * The entry that stands for each point of one visit, by point key: of those nobody names as parent the newest. The one
 * rule of what stands, for device, server, report and trend.
 */
export function standingOf<E extends Placed>(entries: readonly E[]): Map<string, E> {
  return new Map([...endsOf(entries)].flatMap(([key, [newest]]) => (newest ? [[key, newest] as const] : [])));
}

/** As {@link standingOf}, with the forks: entries beside each other that say different things. */
export function currentFindings(findings: readonly Finding[]): CurrentFindings {
  const ends = endsOf(findings);
  const forks = new Map<string, readonly Finding[]>();
  for (const [key, sorted] of ends) {
    const [newest] = sorted;
    // Two who say the same do not disagree; so a choice between two is told by saying the one over the other.
    if (newest && sorted.some((one) => !equal(contentOf(one), contentOf(newest)))) forks.set(key, sorted);
  }
  return { standing: standingOf(findings), forks };
}
