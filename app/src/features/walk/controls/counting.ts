import { LAMPS, USUAL_LAMPS, cataloguePoint, type Count, type CountedItem, type SpecSheet } from '@weskopos/core';
import { lookChange } from '../../../visit/readings';
import type { ControlProps } from './control';

/** What an uncounted thing is taken to be many of, until told otherwise. */
const USUAL_FIXINGS = 5;

/** Nipples of every pivot of the spec sheet; null where it has none. */
const nipplesOf = ({ pivots }: SpecSheet) => pivots.reduce((sum, { nipples }) => sum + nipples, 0) || null;

/** n of N at a point, and what may be said of it. */
export interface Counting {
  readonly items: readonly CountedItem[];
  /** Whether anything was counted yet. */
  readonly isCounted: boolean;
  /** As counted, else all of the usual number. */
  readonly of: (item: CountedItem) => Count;
  readonly isTold: (item: CountedItem) => boolean;
  readonly set: (item: CountedItem, change: Partial<Count>) => void;
  /** All of everything. */
  readonly all: () => void;
  readonly isAll: boolean;
}

/** What is counted at a point: lamp by lamp, or fixings, nipples and hangers as a whole. */
export function countingOf({ pointRef, finding, background, put }: ControlProps): Counting {
  const items: readonly CountedItem[] = cataloguePoint(pointRef.point).counted === 'lamps' ? LAMPS : ['all'];
  const last = background.history.lastLook(pointRef)?.finding;
  const { spec } = background.grading.vehicle;
  const studs = pointRef.point === 'wheel.bolts' ? spec.studs : null;
  const nipples = pointRef.point === 'plant.grease.own' ? nipplesOf(spec) : null;
  const usual = (item: CountedItem) =>
    last?.counts.find((count) => count.item === item)?.of ??
    (item === 'all' ? (studs ?? nipples ?? USUAL_FIXINGS) : USUAL_LAMPS[item]);
  const whole = (item: CountedItem): Count => ({ item, good: usual(item), of: usual(item), found: null, out: [] });
  const counts = finding?.counts ?? [];
  const told = (among: readonly Count[], item: CountedItem) => among.find((count) => count.item === item);
  return {
    items,
    isCounted: counts.length > 0,
    of: (item) => told(counts, item) ?? whole(item),
    isTold: (item) => told(counts, item) !== undefined,
    set: (item, change) =>
      put(pointRef, (before) => {
        const standing = before?.counts ?? [];
        const next: Count = { ...whole(item), ...told(standing, item), ...change };
        const within = (count: number) => Math.max(0, Math.min(count, next.of));
        const kept = { ...next, good: within(next.good), found: next.found === null ? null : within(next.found) };
        // Fewer are out than were said to be: nobody knows any more which.
        const out = next.out.length > next.of - (kept.found ?? kept.good) ? [] : next.out;
        // The first lamp that is out says of the others that they were looked at and lit.
        const others = standing.length > 0 ? standing : items.map(whole);
        return lookChange(before, { counts: [...others.filter((count) => count.item !== item), { ...kept, out }] });
      }),
    all: () => put(pointRef, (before) => lookChange(before, { counts: items.map(whole) })),
    isAll: counts.length > 0 && counts.every(({ good, of }) => good === of),
  };
}
