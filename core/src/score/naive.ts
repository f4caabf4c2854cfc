import { comesDownTo, lineThrough, type PlanePoint } from '../sums/straightLine';

/** A reading as a plain method takes it. */
export type PlainReading = PlanePoint;

/** What one could do without a model: each gives the distance left from the last reading, null where it has no answer. */
export const NAIVE_METHODS = ['last-two', 'line', 'line-from-new', 'fleet-life'] as const;
/** A plain way to forecast, to be compared with. */
export type NaiveMethod = (typeof NAIVE_METHODS)[number];

/** What a plain forecast is made from. */
export interface NaiveInput {
  readonly readings: readonly PlainReading[];
  /** Where it was fitted and its nominal value when new; null when not known. */
  readonly fitted: PlainReading | null;
  readonly limit: number;
  /** Mean life of parts of this kind so far, unit of x; null while none has ended. */
  readonly fleetLife: number | null;
}

/** Distance left from the last reading by one plain method, never below zero; null where it has none. */
export function naiveLeft(method: NaiveMethod, { readings, fitted, limit, fleetLife }: NaiveInput): number | null {
  const last = readings.at(-1);
  if (!last) return null;
  const before = readings.at(-2);
  switch (method) {
    case 'last-two':
      return before ? alongLine([before, last], limit, last.x) : null;
    case 'line':
      return alongLine(readings, limit, last.x);
    case 'line-from-new':
      return fitted ? alongLine([fitted, ...readings], limit, last.x) : null;
    case 'fleet-life':
      return fitted && fleetLife !== null ? Math.max(0, fitted.x + fleetLife - last.x) : null;
  }
}

/** Where a least-squares line meets the limit, from `from` on; null for one that does not fall. */
function alongLine(points: readonly PlainReading[], limit: number, from: number): number | null {
  const line = lineThrough(points);
  const met = line && comesDownTo(line, limit);
  return met === null ? null : Math.max(0, met - from);
}
