import type { YardEntry } from '@weskopos/contract';
import { GRADES, type Grade } from '@weskopos/core';

export const ORDERS = ['code', 'worst', 'looked'] as const;
/** What lines of vehicles are put in order by. */
export type Order = (typeof ORDERS)[number];

export const STANDS = ['all', 'fail', 'advisory', 'pass', 'not-seen'] as const;
/** How the vehicles stand that are shown. */
export type Stands = (typeof STANDS)[number];

/** How a vehicle stands; not seen where nobody has looked yet. */
export const gradeOf = ({ standing: stands }: YardEntry): Grade => stands?.grade ?? 'not-seen';
const BY: Readonly<Record<Order, (a: YardEntry, b: YardEntry) => number>> = {
  code: () => 0,
  worst: (a, b) => GRADES.indexOf(gradeOf(b)) - GRADES.indexOf(gradeOf(a)),
  looked: (a, b) => (a.standing?.last?.at ?? '').localeCompare(b.standing?.last?.at ?? ''),
};

/** Codes are in order already, and stay so where the rest is equal. */
export const ordered = (entries: readonly YardEntry[], order: Order): YardEntry[] => [...entries].sort(BY[order]);

/** Those that stand so; what was recorded without a grade counts as well. */
export const standing = (entries: readonly YardEntry[], stands: Stands): readonly YardEntry[] =>
  stands === 'all'
    ? entries
    : entries.filter((entry) => gradeOf(entry) === stands || (stands === 'pass' && gradeOf(entry) === 'recorded'));
