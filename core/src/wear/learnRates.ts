import { evenly } from '../sums/evenly';
import { groupBy } from '../sums/groupBy';
import { recordOf, typedKeys } from '../sums/keyed';
import { STRAIGHT, type DepthCurve } from './depthCurve';
import {
  CELL_VARIANCE,
  USUAL_CHANGES,
  USUAL_HAND_U,
  atPresentAxle,
  builtInRate,
  priorFor,
  type FleetRates,
  type KindRates,
  type PartHistory,
  type Shift,
} from './fleetRates';
import { learnCurve } from './learnCurve';
import { axleMoves } from './moves';
import { believe, rateLikelihood, type RateLikelihood } from './wearBelief';

const CHANGES = [0.001, 0.004, 0.01, 0.02, 0.04] as const;
const HANDS = [0, 0.08, 0.16, 0.24, 0.35, 0.5] as const;
/** How much wider than over whole lives rates lie where they are now: roads and drivers change. */
const LOOSER = [1.5, 2.3, 3.5] as const;
/** How far kinds lie from what is built in, log variance. */
const KIND_VARIANCE = 0.25;
const ROUNDS = 8;
/** Fewer tell nothing of how parts differ. */
const LEAST_PARTS = 3;
/** Most parts of a kind that are learned from, and looked at to choose what all of them share: evenly through all. */
const MOST_PARTS = 4000;
const SAMPLE = 250;
const TEACHERS = 500;
const LEAST_VARIANCE = 0.003;
/** Moves a part from which on a house is one that moves its parts. */
const LEAST_MOVES = 0.25;
/** What lies farther off than this counts as that far: one strange part does not make all unlike. */
const FARTHEST_SIGMAS = 3;
/** What a part's own readings say at least of its rate, 1 / log variance. */
const LEAST_PRECISION = 1e-3;
const FARTHEST_LOG = 2;

/** What is shared by all parts of a kind. */
interface Shared {
  readonly handU: number;
  readonly changes: number;
  readonly curve: DepthCurve;
  readonly newOff: number;
  /** How much wider than over whole lives rates lie where they are now. */
  readonly looser: number;
}

interface Rated {
  readonly part: PartHistory;
  readonly likely: RateLikelihood;
}

interface Levels {
  readonly axles: ReadonlyMap<string, Shift>;
  readonly cells: ReadonlyMap<string, Shift>;
  readonly vehicles: ReadonlyMap<string, Shift>;
  readonly between: number;
  readonly within: number;
}

/**
 * Empirical Bayes over all parts, young, slow and censored ones too: each part's rate is its kind's at that axle, shifted by
 * its cell (class and use), by its vehicle, and by itself. Every part counts by the likelihood of its readings at each
 * rate (expectation propagation, Minka 2001, one site a part); what all parts share by the likelihood of each reading
 * from those before it.
 */
export function learnRates(parts: readonly PartHistory[]): FleetRates {
  return Object.fromEntries(
    [...groupBy(parts, ({ kind }) => kind)].flatMap(([kind, ones]) => {
      const learned = learnKind(kind, ones);
      return learned ? [[kind, learned]] : [];
    }),
  );
}

function learnKind(kind: string, all: readonly PartHistory[]): KindRates | null {
  // What nobody read twice, nor knew when it was new, tells no rate.
  const telling = all.filter((part) => looksAt(part) >= 2);
  if (telling.length < LEAST_PARTS) return null;
  const parts = evenly(telling, MOST_PARTS);
  // Axles first, by what never moved or since it did: then what moved counts whole.
  const usual: Shared = { handU: USUAL_HAND_U, changes: USUAL_CHANGES, curve: STRAIGHT, newOff: 0, looser: 1 };
  const axles = Object.fromEntries(levelsOf(kind, parts.map(sinceMoved), usual).axles);
  const settled = parts.map((part) => atPresentAxle(part, axles));
  const shared = sharedOf(kind, settled, { ...usual, curve: learnCurve(settled) });
  return {
    parts: telling.length,
    movedEvery: movesOf(telling),
    ...plainRates(kind, shared, levelsOf(kind, settled, shared)),
  };
}

const looksAt = ({ readings, fitted }: PartHistory) => readings.length + (fitted ? 1 : 0);

/** What all parts share, chosen by how likely parts are that the rates were not learned from: one half by the other. */
function sharedOf(kind: string, parts: readonly PartHistory[], usual: Shared): Shared {
  // All that was fitted to a vehicle at once is of one half: it tells the same.
  const groups = [...groupBy(parts, ({ vehicle, fitted, readings }) => `${vehicle} ${fitted?.x ?? readings[0]?.x}`)];
  const half = (odd: number) => groups.flatMap(([, ones], index) => (index % 2 === odd ? ones : []));
  const judged = evenly(
    half(0).filter((part) => looksAt(part) >= 3),
    SAMPLE,
  );
  const teachers = evenly(half(1), TEACHERS);
  if (judged.length < LEAST_PARTS || teachers.length < LEAST_PARTS) return usual;
  const ratesOf = (shared: Shared, levels: Levels): FleetRates => ({
    [kind]: { parts: 0, movedEvery: null, ...plainRates(kind, shared, levels) },
  });
  const fit = (shared: Shared, levels: Levels) => {
    const rates = ratesOf(shared, levels);
    return judged.reduce((sum, part) => sum + believe(priorFor(rates, part), part.fitted, part.readings).fit, 0);
  };
  const first = levelsOf(kind, teachers, usual);
  const hand = { ...usual, handU: best(HANDS, (handU) => fit({ ...usual, handU }, first)) };
  const off = { ...hand, newOff: newOffOf(evenly(parts, TEACHERS), ratesOf(hand, first)) };
  const levels = levelsOf(kind, teachers, off);
  const loose = { ...off, looser: best(LOOSER, (looser) => fit({ ...off, looser }, levels)) };
  return { ...loose, changes: best(CHANGES, (changes) => fit({ ...loose, changes }, levels)) };
}

/** Readings of one day, and places across one part, tell much the same: each counts for so much. */
const TELLS = 0.25;
/** As wide as a rate is taken to be where a part's own readings shall tell it, log. */
const OWN_SIGMA = 0.6;

/** The likeliest of what new parts are read to be off by: a parabola through how likely three of them make what was read. */
function newOffOf(all: readonly PartHistory[], rates: FleetRates): number {
  const parts = all.filter(({ fitted, readings }) => fitted && readings.length >= 2);
  const us = parts.flatMap(({ readings }) => readings.map(({ u }) => u)).sort((a, b) => a - b);
  // As far off as one reading may be, before anything is read.
  const by = us[Math.floor(us.length / 2)] ?? 0;
  if (!(by > 0)) return 0;
  // By each part's own line: what it is known to wear beforehand may be out of date.
  const fit = (newOff: number) =>
    parts.reduce(
      (sum, part) =>
        sum + believe({ ...priorFor(rates, part), sigma: OWN_SIGMA, newOff }, part.fitted, part.readings).fit,
      0,
    );
  const [low, none, high] = [fit(-by), fit(0), fit(by)];
  const slope = (TELLS * (high - low)) / (2 * by);
  const bend = (TELLS * (2 * none - low - high)) / by ** 2;
  const most = 2 * by;
  return Math.min(most, Math.max(-most, slope / Math.max(1e-9, Math.max(0, bend) + 1 / by ** 2)));
}

function plainRates(kind: string, { looser, ...shared }: Shared, { between, within, ...shifts }: Levels) {
  return { base: builtInRate(kind), between, within: looser * within, ...plainShifts(shifts), ...shared };
}

/** Distance between moves, by all that was driven; null where hardly any part was ever moved. */
function movesOf(parts: readonly PartHistory[]): number | null {
  let [moves, driven] = [0, 0];
  for (const part of parts) {
    const { fitted, readings } = part;
    const [from, to] = [fitted?.x ?? readings[0]?.x, readings.at(-1)?.x];
    if (from === undefined || to === undefined || to <= from) continue;
    driven += to - from;
    moves += axleMoves(part).filter(({ until }) => until > from && until <= to).length;
  }
  return moves >= LEAST_MOVES * parts.length ? driven / moves : null;
}

/** What is read since a part came to the axle it sits at now, what it was off the road left out. */
function sinceMoved(part: PartHistory): PartHistory {
  const moved = axleMoves(part).at(-1)?.until;
  const here =
    moved === undefined ? part : { ...part, fitted: null, readings: part.readings.filter(({ x }) => x >= moved) };
  return atPresentAxle(here);
}

/** How axles, cells and vehicles differ, by the likelihood of every part's readings. */
function levelsOf(
  kind: string,
  parts: readonly PartHistory[],
  { handU, curve, newOff }: Pick<Shared, 'handU' | 'curve' | 'newOff'>,
): Levels {
  const base = builtInRate(kind);
  const rated = parts.map((part): Rated => ({
    part,
    likely: rateLikelihood({ base, handU, curve, newOff }, part.fitted, part.readings),
  }));
  let [between, within] = [0.05, 0.04];
  let axles: ReadonlyMap<string, Shift> = new Map();
  let cells: ReadonlyMap<string, Shift> = new Map();
  let vehicles: ReadonlyMap<string, Shift> = new Map();
  const at = (shifts: ReadonlyMap<string, Shift>, key: string) => shifts.get(key)?.mean ?? 0;
  for (let round = 0; round < ROUNDS; round += 1) {
    const expected = ({ part }: Rated) =>
      base + at(axles, part.axle) + at(cells, part.cell) + at(vehicles, part.vehicle);
    const sites = rated.map((one) => ({ part: one.part, ...siteOf(one.likely, expected(one), within) }));
    const rest = ({ part, log }: (typeof sites)[number]) =>
      log - base - at(axles, part.axle) - at(cells, part.cell) - at(vehicles, part.vehicle);
    const shiftBy = (key: (part: PartHistory) => string, shifts: ReadonlyMap<string, Shift>, variance: number) =>
      shrunk(
        sites.map((one) => ({
          key: key(one.part),
          value: rest(one) + at(shifts, key(one.part)),
          weight: 1 / (one.variance + within),
        })),
        variance,
      );
    axles = shiftBy((part) => part.axle, axles, KIND_VARIANCE);
    cells = shiftBy((part) => part.cell, cells, CELL_VARIANCE);
    vehicles = shiftBy((part) => part.vehicle, vehicles, between);
    between = Math.max(LEAST_VARIANCE, mean([...vehicles.values()].map((shift) => shift.mean ** 2 + shift.variance)));
    within = Math.max(LEAST_VARIANCE, mean(sites.map(({ square }) => Math.min(FARTHEST_SIGMAS ** 2 * within, square))));
  }
  return { axles, cells, vehicles, between, within };
}

/** What a part's readings say of its log rate beside what is expected: as a normal of its own, and how far off it is believed. */
function siteOf({ logs, weights }: RateLikelihood, expected: number, within: number) {
  let [total, sum, squares] = [0, 0, 0];
  for (const [node, log] of logs.entries()) {
    const weight = (weights[node] ?? 0) * Math.exp((-0.5 * (log - expected) ** 2) / within);
    total += weight;
    sum += weight * log;
    squares += weight * log * log;
  }
  if (!(total > 0)) return { log: expected, variance: 1 / LEAST_PRECISION, square: within };
  const believed = sum / total;
  const variance = Math.max(1e-4, squares / total - believed ** 2);
  const precision = Math.max(LEAST_PRECISION, 1 / variance - 1 / within);
  const off = (believed - expected) * (1 + 1 / (within * precision));
  return {
    log: expected + Math.min(FARTHEST_LOG, Math.max(-FARTHEST_LOG, off)),
    variance: 1 / precision,
    square: variance + (believed - expected) ** 2,
  };
}

/** Means of groups, drawn to none by how little is known. */
function shrunk(
  sites: readonly { readonly key: string; readonly value: number; readonly weight: number }[],
  variance: number,
): Map<string, Shift> {
  return new Map(
    [...groupBy(sites, ({ key }) => key)].map(([key, ones]) => {
      const weight = ones.reduce((sum, one) => sum + one.weight, 1 / variance);
      return [key, { mean: ones.reduce((sum, one) => sum + one.weight * one.value, 0) / weight, variance: 1 / weight }];
    }),
  );
}

function plainShifts({ axles, cells, vehicles }: Pick<Levels, 'axles' | 'cells' | 'vehicles'>) {
  const shifts = { axles, cells, vehicles };
  return recordOf(typedKeys(shifts), (name) => Object.fromEntries(shifts[name]));
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);

function best(options: readonly number[], score: (option: number) => number): number {
  return options.map((option) => ({ option, score: score(option) })).reduce((a, b) => (b.score > a.score ? b : a))
    .option;
}
