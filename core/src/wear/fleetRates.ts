import { recordOf, typedKeys } from '../sums/keyed';
import { groupBy } from '../sums/groupBy';
import { believe, type Fitted, type RatePrior, type WearReading } from './wearBelief';

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
const BUILT_IN_SIGMA = 0.5;
const USUAL_CHANGES = 0.006;
const CHANGES = [0.001, 0.004, 0.01, 0.02, 0.04] as const;
const HANDS = [0, 0.08, 0.16, 0.24] as const;
/** How far cells of one kind and axle lie apart, and how far kinds lie from what is built in, log variance. */
const CELL_VARIANCE = 0.06;
const KIND_VARIANCE = 0.25;
const ROUNDS = 6;
/** Fewer tell nothing of how parts differ. */
const LEAST_PARTS = 3;
/** Parts looked at to learn how often rates change. */
const SAMPLE = 300;
const LEAST_VARIANCE = 0.003;

interface Rated {
  readonly part: PartHistory;
  readonly log: number;
  readonly variance: number;
}

/**
 * Empirical Bayes over all parts with a rate of their own: each part's rate is its kind's at that axle, shifted by its
 * cell (class and use), by its vehicle, and by itself. Variances from the parts themselves, by moments; how often rates
 * change and how far hands differ by likelihood, from small lists.
 */
export function learnRates(parts: readonly PartHistory[]): FleetRates {
  return Object.fromEntries(
    [...groupBy(parts, ({ kind }) => kind)].flatMap(([kind, ones]) => {
      const learned = learnKind(kind, ones);
      return learned ? [[kind, learned]] : [];
    }),
  );
}

type PartName = Pick<PartHistory, 'vehicle' | 'kind' | 'axle' | 'cell'>;

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
  return { mu: BUILT_IN[kind] ?? BUILT_IN_OTHER, sigma: BUILT_IN_SIGMA, changes: USUAL_CHANGES, handU: 0.1 };
}

function learnedPrior(
  { base, axles, cells, vehicles, between, within, changes, handU }: KindRates,
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
  };
}

function learnKind(kind: string, parts: readonly PartHistory[]): KindRates | null {
  const rated = parts.flatMap((part): Rated[] => {
    const rate = roughRate(part);
    return rate ? [{ part, ...rate }] : [];
  });
  if (rated.length < LEAST_PARTS) return null;
  let [between, within] = [0.05, 0.04];
  let axles = new Map<string, Shift>();
  let cells = new Map<string, Shift>();
  let vehicles = new Map<string, Shift>();
  const base = BUILT_IN[kind] ?? BUILT_IN_OTHER;
  const at = (shifts: ReadonlyMap<string, Shift>, key: string) => shifts.get(key)?.mean ?? 0;
  for (let round = 0; round < ROUNDS; round += 1) {
    const rest = ({ part, log }: Rated) =>
      log - base - at(axles, part.axle) - at(cells, part.cell) - at(vehicles, part.vehicle);
    const shiftBy = (key: (part: PartHistory) => string, shifts: ReadonlyMap<string, Shift>, variance: number) =>
      shrunk(
        rated,
        ({ part }) => key(part),
        (one) => rest(one) + at(shifts, key(one.part)),
        within,
        variance,
      );
    axles = shiftBy((part) => part.axle, axles, KIND_VARIANCE);
    cells = shiftBy((part) => part.cell, cells, CELL_VARIANCE);
    vehicles = shiftBy((part) => part.vehicle, vehicles, between);
    between = Math.max(LEAST_VARIANCE, mean([...vehicles.values()].map((shift) => shift.mean ** 2 + shift.variance)));
    within = Math.max(
      LEAST_VARIANCE,
      rated.reduce((sum, one) => sum + (rest(one) ** 2 - one.variance) / (one.variance + within), 0) /
        rated.reduce((sum, one) => sum + 1 / (one.variance + within), 0),
    );
  }
  const plain = { parts: rated.length, base, between, within, ...plainShifts({ axles, cells, vehicles }) };
  const every = Math.max(1, Math.floor(rated.length / SAMPLE));
  const sample = rated.filter((_, index) => index % every === 0).map(({ part }) => part);
  const likely = (changes: number, handU: number) => {
    const rates: FleetRates = { [kind]: { ...plain, changes, handU } };
    return sample.reduce((sum, part) => sum + believe(priorFor(rates, part), part.fitted, part.readings).fit, 0);
  };
  const handU = best(HANDS, (one) => likely(USUAL_CHANGES, one));
  const changes = best(CHANGES, (one) => likely(one, handU));
  return { ...plain, changes, handU };
}

function plainShifts<K extends string>(shifts: Readonly<Record<K, ReadonlyMap<string, Shift>>>) {
  return recordOf(typedKeys(shifts), (name) => Object.fromEntries(shifts[name]));
}

/** Means of groups, drawn to none by how little is known. */
function shrunk(
  rated: readonly Rated[],
  key: (one: Rated) => string,
  value: (one: Rated) => number,
  within: number,
  variance: number,
): Map<string, Shift> {
  const sums = new Map<string, { weight: number; sum: number }>();
  for (const one of rated) {
    const weight = 1 / (one.variance + within);
    const sum = sums.get(key(one)) ?? { weight: 0, sum: 0 };
    sums.set(key(one), { weight: sum.weight + weight, sum: sum.sum + weight * value(one) });
  }
  return new Map(
    [...sums].map(([name, { weight, sum }]) => {
      const total = weight + 1 / variance;
      return [name, { mean: sum / total, variance: 1 / total }];
    }),
  );
}

/** A part's own log rate over what was read of it: the middle of all slopes, long ones counting more (Theil 1950, Sen 1968). */
export function roughRate({ fitted, readings }: Pick<PartHistory, 'fitted' | 'readings'>) {
  const exact = readings.filter(({ bound }) => bound === 'exact');
  const points = [
    ...(fitted ? [{ x: fitted.x, y: fitted.fresh, u: fitted.sigma }] : []),
    ...exact.map(({ x, y, u }) => ({ x, y, u })),
  ];
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last || !(last.x > first.x)) return null;
  const slopes: { slope: number; weight: number }[] = [];
  for (const [index, a] of points.entries())
    for (const b of points.slice(index + 1))
      if (b.x > a.x) slopes.push({ slope: (a.y - b.y) / (b.x - a.x), weight: b.x - a.x });
  slopes.sort((a, b) => a.slope - b.slope);
  const half = slopes.reduce((sum, { weight }) => sum + weight, 0) / 2;
  let sum = 0;
  const rate = slopes.find(({ weight }) => (sum += weight) >= half)?.slope ?? 0;
  const error = (last.u * Math.sqrt(4 / points.length)) / (last.x - first.x);
  // A rate not told from none says little of its logarithm.
  if (!(rate > 1.5 * error)) return null;
  return { log: Math.log(rate), variance: (error / rate) ** 2 };
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);

function best(options: readonly number[], score: (option: number) => number): number {
  return options.map((option) => ({ option, score: score(option) })).reduce((a, b) => (b.score > a.score ? b : a))
    .option;
}
