import { chanceOfOdds } from '../sums/chanceOfOdds';
import type { Place } from '../vehicle/vehicle';
import { groupBy } from '../sums/groupBy';
import { TOGETHER } from './acrossPlaces';
import { axleScale, priorFor, type FleetRates, type PartHistory } from './fleetRates';
import { WearFilter, atNothing, gridOf, type RatePrior, type WearReading } from './wearFilter';

/** One place across a part, watched for a change of its rate. Readings of one kind at one x are one visit's, by one gauge. */
export interface WatchedSpot {
  readonly place: Place;
  readonly history: PartHistory;
}

/** What a change acts on: one place across a part, a whole part, all of a kind, or all that wears on the vehicle. */
export const CHANGE_SCOPES = ['spot', 'part', 'kind', 'vehicle'] as const;
export type ChangeScope = (typeof CHANGE_SCOPES)[number];

/** Wear that went up for good: on what, since when, by what factor, and how sure. */
export interface RateChange {
  readonly scope: ChangeScope;
  /** Ids of the histories it acts on. */
  readonly ids: readonly string[];
  readonly places: readonly Place[];
  readonly kinds: readonly string[];
  /** Where it began, same unit as the readings' x: between two looks, so in the middle. */
  readonly sinceX: number;
  readonly factor: number;
  /** Log odds that something changed, against that nothing did. */
  readonly odds: number;
  /** The same as a chance, 0 to 1. */
  readonly sureness: number;
  /** What it may be at each place, by id: all that it may act on taken together. */
  readonly perhaps: ReadonlyMap<string, PerhapsFaster>;
}

/** That one place may wear faster than before: a possibility, not a verdict. */
export interface PerhapsFaster {
  readonly sinceX: number;
  readonly factor: number;
  readonly chance: number;
}

/** How much faster, and how often each is met among changes. */
const FACTORS = [
  { factor: 1.5, share: 0.45 },
  { factor: 2, share: 0.35 },
  { factor: 2.8, share: 0.2 },
] as const;
/** How many stretches between looks back a change is looked for: older ones are history, and in the rate already. */
const STRETCHES = 3;
/** What changes act on, before anything is read. */
const SCOPES: Readonly<Record<ChangeScope, number>> = { vehicle: 0.3, kind: 0.1, part: 0.25, spot: 0.35 };
/** Changes are seldom: odds before anything is read that one began in these stretches. */
const PRIOR_ODDS = Math.log(0.1);
/** From these odds on a change is told: as likely as not. */
export const TOLD_FROM = 0;
/** What a visit's gauge may be off by, in standard deviations: two points of a normal, as likely (Gauss and Hermite). */
const OFFS = [-1, 1] as const;

/**
 * Whether wear on a vehicle went up lately, at one place, on one part, on one kind or on all: an axle out of line acts on
 * one shoulder, a dragging brake on one wheel, a driver or a route on all. Every one of these is weighed by the likelihood
 * of all readings, of any place across any part, against *nothing changed*; a gauge that is off is off at all it read.
 *
 * @param spots all that wears on one vehicle, in any order
 * @returns the likeliest, however unlikely; null before anything was looked at twice, or where nothing at all fits
 */
export function findRateChange(rates: FleetRates, spots: readonly WatchedSpot[]): RateChange | null {
  const looks = [...new Set(spots.flatMap(({ history }) => history.readings.map(({ x }) => x)))].sort((a, b) => a - b);
  const window = looks.slice(-1 - STRETCHES);
  if (window.length < 2) return null;
  const onsets = window.slice(1).map((x, index) => (x + (window[index] ?? x)) / 2);
  const cases = onsets.flatMap((since) =>
    FACTORS.map(({ factor, share }) => ({ since, factor, share: share / onsets.length })),
  );
  const kinds = [...groupBy(spots, ({ history }) => history.kind).values()].map((ones) => {
    const told = ones.map(({ history }) => chancesOf(rates, history, window, cases));
    return { ids: ones.map(({ history }) => history.id), told, still: joint(told.map((one) => one.still)) };
  });
  const weighed = groupsOf(spots).map((group) => {
    const chances = cases.map(({ share }, index) => {
      const gain = kinds.reduce((sum, kind) => sum + gainOf(kind, group.ids, index), 0);
      return group.weight * share * Math.exp(Math.min(500, gain));
    });
    return { group, chances, total: chances.reduce((sum, one) => sum + one, 0) };
  });
  const best = weighed.reduce((a, b) => (b.total > a.total ? b : a));
  const gained = weighed.reduce((sum, { total }) => sum + total, 0);
  if (!(gained > 0)) return null;
  const odds = Math.log(gained) + PRIOR_ODDS;
  const { weight: _weight, ...group } = best.group;
  const sureness = chanceOfOdds(odds);
  return {
    ...group,
    ids: [...group.ids],
    ...overCases(best.chances, cases),
    odds,
    sureness,
    perhaps: new Map(spots.map(({ history: { id } }) => [id, perhapsOf(id, weighed, cases, sureness / gained)])),
  };
}

function perhapsOf(
  id: string,
  weighed: readonly { readonly group: Group; readonly chances: readonly number[] }[],
  cases: readonly Case[],
  perGain: number,
): PerhapsFaster {
  const chances = cases.map((_, index) =>
    weighed.reduce((sum, { group, chances: of }) => sum + (group.ids.has(id) ? (of[index] ?? 0) : 0), 0),
  );
  return { ...overCases(chances, cases), chance: chances.reduce((sum, one) => sum + one, 0) * perGain };
}

/** The likeliest onset, and the factor on the average of all cases. */
function overCases(chances: readonly number[], cases: readonly Case[]): Pick<PerhapsFaster, 'sinceX' | 'factor'> {
  const total = chances.reduce((sum, one) => sum + one, 0);
  const logFactor = cases.reduce((sum, { factor }, index) => sum + (chances[index] ?? 0) * Math.log(factor), 0);
  return {
    sinceX: cases[chances.indexOf(Math.max(...chances))]?.since ?? 0,
    factor: total > 0 ? Math.exp(logFactor / total) : 1,
  };
}

/** Log likelihoods of one place's window, for each way the gauge may have been off at its looks: with no change, and in each case. */
interface SpotChances {
  readonly still: readonly number[];
  readonly cases: readonly (readonly number[])[];
}

/**
 * Log likelihood of several places together, but for a constant: what each visit's gauge was off by is common to them, each
 * combination as likely.
 */
function joint(spots: readonly (readonly number[])[]): number {
  const logs = (spots[0] ?? []).map((_, at) => spots.reduce((sum, one) => sum + (one[at] ?? 0), 0));
  const most = Math.max(...logs);
  return most + Math.log(logs.reduce((sum, one) => sum + Math.exp(one - most), 0));
}

interface KindChances {
  readonly ids: readonly string[];
  readonly told: readonly SpotChances[];
  readonly still: number;
}

/** What is gained in log likelihood if these places changed as in a case. */
function gainOf({ ids, told, still }: KindChances, group: ReadonlySet<string>, index: number): number {
  if (!ids.some((id) => group.has(id))) return 0;
  return joint(told.map((one, at) => (group.has(ids[at] ?? '') ? (one.cases[index] ?? one.still) : one.still))) - still;
}

interface Group extends Pick<RateChange, 'scope' | 'places' | 'kinds'> {
  readonly ids: ReadonlySet<string>;
  readonly weight: number;
}

/** Everything a change may act on, with how likely each is among changes. */
function groupsOf(spots: readonly WatchedSpot[]): Group[] {
  const by = (scope: ChangeScope, among: readonly WatchedSpot[], name: (one: WatchedSpot) => string, least = 1) => {
    const groups = [...groupBy(among, name).values()].filter((ones) => ones.length >= least);
    return groups.map((ones): Group => ({
      scope,
      ids: new Set(ones.map(({ history }) => history.id)),
      places: [...new Set(ones.map(({ place }) => place))],
      kinds: [...new Set(ones.map(({ history }) => history.kind))],
      weight: SCOPES[scope] / groups.length,
    }));
  };
  const partOf = ({ place, history }: WatchedSpot) => `${history.kind} ${place}`;
  const readAcross = [...groupBy(spots, partOf).values()].filter((ones) => ones.length > 1).flat();
  return [
    ...by('spot', readAcross, ({ history }) => history.id),
    ...by('part', spots, partOf),
    ...by('kind', spots, ({ history }) => history.kind, 2),
    ...by('vehicle', spots, () => '').filter(({ kinds }) => kinds.length > 1),
  ];
}

interface Case {
  readonly since: number;
  readonly factor: number;
}

/** Points a place must have before a change, for it to tell of one. */
const LEAST_BEFORE = 2;

function chancesOf(
  rates: FleetRates,
  history: PartHistory,
  window: readonly number[],
  cases: readonly Case[],
): SpotChances {
  const { fitted, readings } = history;
  const scale = axleScale(history, rates[history.kind]?.axles);
  const prior = steadyOf(priorFor(rates, history));
  const at = (x: number) =>
    readings
      .filter((reading) => reading.x === x)
      .map((one) => ({
        ...(atNothing(one, prior.handU) ?? one),
        x: scale(one.x),
        together: TOGETHER * Math.hypot(one.u, prior.handU),
      }));
  const [opens = 0] = window;
  const before = readings.filter(({ x }) => x < opens).map((one) => ({ ...one, x: scale(one.x) }));
  const filter = WearFilter.of(
    gridOf(prior),
    prior,
    fitted && { ...fitted, x: scale(fitted.x) },
    before[0] ?? window.flatMap(at)[0],
  );
  for (const reading of before) filter.take(reading);
  const known = (since: number) => readings.filter(({ x }) => x < since).length + (fitted && fitted.x < since ? 1 : 0);
  const told = cases.filter(({ since }) => known(since) >= LEAST_BEFORE);
  const onset = ({ since }: Case) => window.findIndex((x) => x > since);
  const paths = told.map((one) => ({
    from: onset(one),
    looks: window.map((x) => stretched(at(x), scale(one.since), one.factor)),
  }));
  const [still = [], ...rest] = along(filter.slim(), window.map(at), paths);
  return { still, cases: cases.map((one) => rest[told.indexOf(one)] ?? still) };
}

/** A reading with what all of its gauge's are off by together at that visit, one standard deviation. */
type GaugeReading = WearReading & { readonly together: number };
type Looks = readonly (readonly GaugeReading[])[];

/** Looks as they lie if something changed before the one it says; up to there they lie as they do without. */
interface Path {
  readonly from: number;
  readonly looks: Looks;
}

/**
 * Log likelihoods of looks one after the other, for each combination of what the gauge was off by at each: without a
 * change, then of each path. What goes before a change is worked out once for all of them.
 */
function along(filter: WearFilter, looks: Looks, paths: readonly Path[], from = 0): number[][] {
  const look = looks[from];
  if (!look) return [[filter.likelihood], ...paths.map(() => [])];
  const later = paths.filter((path) => path.from > from);
  const ahead = eachOff(filter, look, (next) => along(next, looks, later, from + 1));
  return [
    ahead(0),
    ...paths.map((path) => {
      if (path.from > from) return ahead(1 + later.indexOf(path));
      const own = path.looks[from];
      return own ? eachOff(filter, own, (next) => along(next, path.looks, [], from + 1))(0) : [];
    }),
  ];
}

/** Goes on from a look for each way its gauge may have been off; the combinations of one of the results, this look's changing first. */
function eachOff(filter: WearFilter, look: readonly GaugeReading[], goOn: (next: WearFilter) => number[][]) {
  const taken = look.length === 0 ? goOn(filter) : null;
  const byOff = OFFS.map((off) => {
    if (taken) return taken;
    const next = filter.copy();
    for (const reading of look) next.take({ ...reading, y: reading.y - off * reading.together });
    return goOn(next);
  });
  return (result: number): number[] =>
    (byOff[0]?.[result] ?? []).flatMap((_, index) => byOff.map((one) => one[result]?.[index] ?? 0));
}

const steady = new WeakMap<RatePrior, RatePrior>();
/** Rates are taken to hold unless told otherwise: a model that expects changes everywhere would wonder at none. */
function steadyOf(prior: RatePrior): RatePrior {
  const known = steady.get(prior) ?? { ...prior, changes: 0 };
  steady.set(prior, known);
  return known;
}

/** Wear at k times the rate is wear over k times the distance. */
export function stretched<T extends { readonly x: number }>(
  readings: readonly T[],
  since: number,
  factor: number,
): T[] {
  return readings.map((one) => (one.x > since ? { ...one, x: since + (one.x - since) * factor } : one));
}
