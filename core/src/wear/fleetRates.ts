import { STRAIGHT, type DepthCurve } from './depthCurve';
import type { Fitted, RatePrior, WearReading } from './wearFilter';

/** One part as the fleet learns from it. */
export interface PartHistory {
  readonly id: string;
  readonly vehicle: string;
  /** What wears alike: `tread`, `pad`. */
  readonly kind: string;
  /** Kind and axle. */
  readonly axle: string;
  /** Kind, axle, class and use of the vehicle. */
  readonly cell: string;
  readonly fitted: Fitted | null;
  readonly readings: readonly WearReading[];
  /** Where it sat before, oldest first, each up to an x, null while it was not on the road; left out for one that was never moved. */
  readonly before?: readonly { readonly axle: string | null; readonly until: number }[];
  /**
   * Where its vehicle's two sets were changed for each other, oldest first, and how far it is driven in half a year, null
   * where nobody knows; left out for a part that is on the road all year.
   */
  readonly sets?: { readonly changes: readonly number[]; readonly halfYear: number | null };
}

/** How far something lies off, in log rate, and how well that is known. */
export interface Shift {
  readonly mean: number;
  readonly variance: number;
}

/** What is learned of one kind of part, as plain data. */
export interface KindRates {
  /** Parts it was learned from. */
  readonly parts: number;
  readonly base: number;
  readonly axles: Readonly<Record<string, Shift>>;
  readonly cells: Readonly<Record<string, Shift>>;
  readonly vehicles: Readonly<Record<string, Shift>>;
  /** Log variance between vehicles, and between parts of one. */
  readonly between: number;
  readonly within: number;
  readonly changes: number;
  readonly handU: number;
  /** How wear goes with depth. */
  readonly curve: DepthCurve;
  /** What the house reads of new parts beyond what they are taken to be, unit of y. */
  readonly newOff?: number;
  /** Thousands of km (or h) between moves to another axle; null where such parts stay where they are. */
  readonly movedEvery: number | null;
}

/** What the fleet is known to wear, by kind; a kind not in it falls back to what is built in. */
export type FleetRates = Readonly<Record<string, KindRates>>;

/** Built in, for a fleet without records: typical log rates per 1000 km, wide. */
const BUILT_IN: Readonly<Record<string, number>> = {
  tread: Math.log(0.18),
  lining: Math.log(0.24),
  shoe: Math.log(0.08),
  disc: Math.log(0.03),
};
const BUILT_IN_OTHER = Math.log(0.2);
const BUILT_IN_SIGMA = 0.62;
/** How often rates change for good where nothing is learned yet, per 1000 km. */
export const USUAL_CHANGES = 0.006;
export const USUAL_HAND_U = 0.1;
/** How far cells of one kind and axle lie apart, log variance. */
export const CELL_VARIANCE = 0.06;

/** Kinds of what goes by hours are named so; a step of hours wears as one of distance does. */
export const BY_HOURS = ' by hours';

/** What is known of a kind without any records: its log rate. */
export const builtInRate = (kind: string): number => BUILT_IN[kind.replace(BY_HOURS, '')] ?? BUILT_IN_OTHER;

/** What a part is called among the fleet's. */
export type PartName = Pick<PartHistory, 'vehicle' | 'kind' | 'axle' | 'cell'>;

const caches = new WeakMap<FleetRates, Map<string, RatePrior>>();

/** What is known of a part's rate before it is read. The same part name gives the same object, so that grids are shared. */
export function priorFor(rates: FleetRates, part: PartName): RatePrior {
  const cache = caches.get(rates) ?? new Map<string, RatePrior>();
  caches.set(rates, cache);
  const key = `${part.kind}|${part.vehicle}|${part.cell}|${part.axle}`;
  const kind = rates[part.kind];
  const known = cache.get(key) ?? (kind ? learnedPrior(kind, part) : builtIn(part.kind));
  cache.set(key, known);
  return known;
}

function builtIn(kind: string): RatePrior {
  return { mu: builtInRate(kind), sigma: BUILT_IN_SIGMA, changes: USUAL_CHANGES, handU: USUAL_HAND_U };
}

function learnedPrior(
  { base, axles, cells, vehicles, between, within, changes, handU, curve = STRAIGHT, newOff = 0 }: KindRates,
  part: PartName,
): RatePrior {
  const [axle, cell, vehicle] = [axles[part.axle], cells[part.cell], vehicles[part.vehicle]];
  return {
    mu: base + (axle?.mean ?? 0) + (cell?.mean ?? 0) + (vehicle?.mean ?? 0),
    sigma: Math.sqrt(
      within + (vehicle?.variance ?? between) + Math.min(cell?.variance ?? CELL_VARIANCE, CELL_VARIANCE),
    ),
    changes,
    handU,
    curve,
    newOff,
  };
}

/**
 * A part's readings over the distance its present axle would have worn it as far: what was moved wore at each axle's own
 * rate, and what was off the road not at all. The last reading keeps its x.
 */
export function atPresentAxle<T extends PartHistory>(part: T, axles: KindRates['axles'] = {}): T {
  const { before = [], readings, fitted } = part;
  if (before.length === 0) return part;
  const scale = axleScale(part, axles);
  const moved = <P extends { readonly x: number }>(point: P): P => ({ ...point, x: scale(point.x) });
  return { ...part, readings: readings.map(moved), fitted: fitted && moved(fitted) };
}

/** Where a moment lies over the distance a part's present axle would have worn it as far. */
export function axleScale(part: PartHistory, axles: KindRates['axles'] = {}): (x: number) => number {
  const { before = [], readings, fitted } = part;
  const last = readings.at(-1)?.x ?? fitted?.x;
  if (before.length === 0 || last === undefined) return (x) => x;
  const now = axles[part.axle]?.mean ?? 0;
  const wornFrom = (x: number) => {
    let [from, worn] = [x, 0];
    for (const { axle, until } of before) {
      if (until <= from) continue;
      if (axle !== null) worn += (until - from) * Math.exp((axles[axle]?.mean ?? 0) - now);
      from = until;
    }
    return worn + Math.max(0, last - from);
  };
  return (x) => (x > last ? x : last - wornFrom(x));
}
