import { cataloguePoint, pointKey } from '../catalogue/catalogue';
import type { CataloguePoint, Need } from '../catalogue/points/point';
import { actsOf, USUAL_WAIT_S, type Act, type WaitKind } from '../acts/act';
import { openEnds } from '../acts/looseEnds';
import { COOL_S, SETTLE_S, WARM_UP_S, type VehicleState } from '../acts/vehicleState';
import { remainingS, waitsOf } from '../acts/waits';
import type { HouseRules } from '../house/houseRules';
import type { PointRef } from '../inspection/pointRef';
import type { WalkStep } from '../inspection/walkSteps';
import type { Lift, RouteLag, RoutePlace, RouteProblem, RouteStop } from './problem';
import { walkSeconds } from './walkSeconds';

/** What a visit's route is planned from. */
export interface RouteInput {
  /** The walk in the house's order; only steps that are still open are planned. */
  readonly steps: readonly WalkStep[];
  readonly isOpen: (step: WalkStep) => boolean;
  readonly state: VehicleState;
  readonly acts: readonly Act[];
  readonly nowMs: number;
  readonly axles: number;
  /** Without an engine nothing warms up or settles. */
  readonly hasEngine: boolean;
  /** Where the inspector stands: a stop of the walk. */
  readonly at: string;
  /** What the house begins with. */
  readonly beginWith: HouseRules['beginWith'];
  /** Seconds a point takes. */
  readonly secondsOf: (ref: PointRef) => number;
}

/** A stop of the route, and which steps of the walk are done there. */
export interface VisitRoute {
  readonly problem: RouteProblem;
  /** Steps by stop id; none for what is only done to the vehicle. */
  readonly steps: ReadonlyMap<string, readonly WalkStep[]>;
}

/** What is done to the vehicle between looks. */
export const ENGINE_START = 'engine-start';
export const ENGINE_STOP = 'engine-stop';
const LAST_START = 'last-start';
const LAST_STOP = 'last-stop';

const LIFT_S = 90;
/** Turning the key and watching the lamps; turning it back. */
const ACT_S = { start: 20, stop: 8, drain: 120, filter: 180, plug: 120, fill: 240 } as const;

/** Seconds a point takes when nobody has been timed yet: a look, and a reading for each spot. */
export function usualSeconds(ref: PointRef): number {
  const point = cataloguePoint(ref.point);
  const readings = point.measures.filter(({ need }) => need !== 'extra').flatMap(({ spots }) => spots).length;
  return 8 + 12 * readings + (point.counted ? 20 : 0) + (point.codes ? 40 : 0) + (point.leakWanted ? 10 : 0);
}

/** Where one stands for a stop of the walk. */
export function placeOf(stop: string, axles: number): RoutePlace {
  if (/^\d/.test(stop)) {
    const front = Number.parseInt(stop, 10) <= Math.ceil(axles / 2);
    return `${front ? 'front' : 'rear'}-${stop.includes('L') ? 'left' : 'right'}`;
  }
  if (stop === 'cold' || stop === 'bonnet' || stop === 'plant') return 'bonnet';
  return stop === 'under' ? 'under' : stop === 'cabin' ? 'cabin' : 'round';
}

type Condition = 'any' | 'cold' | 'settled' | 'running' | 'hot';

function conditionOf(needs: readonly Need[]): Condition {
  if (needs.includes('running-hot')) return 'hot';
  if (needs.includes('running')) return 'running';
  if (needs.includes('off-settled')) return 'settled';
  return needs.includes('off-cold') || needs.includes('never-started-today') ? 'cold' : 'any';
}

const RAISED: readonly string[] = ['wheel', 'under'];
/** A tyre is read in either; everything else hangs, or stands. */
function liftOf({ station, id }: Pick<Group, 'station' | 'id'>): Lift | null {
  if (station === 'wheel' && id.includes('/tyres')) return null;
  return RAISED.includes(station) ? 'up' : 'down';
}
/** Nobody has a hand there while the engine runs. */
const HANDS_IN: readonly string[] = ['wheel', 'under', 'bonnet', 'cold', 'plant'];

interface Group {
  readonly id: string;
  readonly stop: string;
  readonly station: WalkStep['station'];
  readonly condition: Condition;
  readonly steps: WalkStep[];
}

/** Steps that share place, state and system make one stop of the route. */
function groupsOf({ steps, isOpen, hasEngine }: RouteInput): Group[] {
  const groups = new Map<string, Group>();
  for (const step of steps.filter(isOpen)) {
    const points = step.points.map(({ point }): CataloguePoint => cataloguePoint(point));
    const needs = points.flatMap((point) => point.needs);
    const condition = hasEngine ? conditionOf(needs) : 'any';
    const system = points[0]?.system ?? '';
    const part = step.station === 'under' ? system : step.station === 'wheel' && system === 'tyres' ? system : '';
    const id = [step.stop, part, condition].filter(Boolean).join('/');
    const group = groups.get(id) ?? { id, stop: step.stop, station: step.station, condition, steps: [] };
    group.steps.push(step);
    groups.set(id, group);
  }
  return [...groups.values()];
}

/** The stops, moves, waits and conditions of what is still to be done in a visit. */
export function visitRoute(input: RouteInput): VisitRoute {
  const { state, acts, nowMs, axles, hasEngine, secondsOf } = input;
  const groups = groupsOf(input);
  const stops: RouteStop[] = [];
  const lags: RouteLag[] = [];
  const chain = (before: string, after: string, seconds = 0, wait: WaitKind | null = null) =>
    lags.push({ before, after, seconds, wait });
  const act = (id: string, seconds: number, place: RoutePlace, lift: Lift | null, notBeforeS = 0) =>
    stops.push({ id, seconds, place, lift, notBeforeS });
  const closing = groups.filter(({ station }) => station === 'closing');
  const looks = groups.filter(({ station }) => station !== 'closing');
  const running = looks.filter(({ condition }) => condition === 'running' || condition === 'hot');
  const rests = groups.filter(({ condition }) => condition === 'cold' || condition === 'settled');
  const wasStarted = state.running;
  const startNeeded = hasEngine && running.length > 0 && !wasStarted;
  const stopNeeded = hasEngine && (running.length > 0 || wasStarted);

  for (const group of groups) {
    stops.push({
      id: group.id,
      seconds: group.steps.flatMap(({ points }) => points).reduce((sum, ref) => sum + secondsOf(ref), 0),
      place: placeOf(group.stop, axles),
      lift: liftOf(group),
      notBeforeS: notBefore(group.condition, state, hasEngine),
    });
  }
  if (startNeeded) act(ENGINE_START, ACT_S.start, 'cabin', 'down');
  if (stopNeeded) act(ENGINE_STOP, ACT_S.stop, 'cabin', null);
  if (startNeeded) {
    // The gate and everything that wants a cold engine come first; there is no second first start.
    for (const group of looks)
      if (group.condition === 'cold' || group.condition === 'settled') chain(group.id, ENGINE_START);
  }
  for (const group of running) {
    const warm = group.condition === 'hot' && !state.hot;
    if (startNeeded) chain(ENGINE_START, group.id, warm ? WARM_UP_S : 0, warm ? 'warm-up' : null);
    chain(group.id, ENGINE_STOP);
  }
  if (wasStarted)
    for (const group of looks.filter((one) => rests.includes(one)))
      chain(
        ENGINE_STOP,
        group.id,
        group.condition === 'cold' ? COOL_S : SETTLE_S,
        group.condition === 'cold' ? 'cool-down' : 'settle',
      );
  // The gate first, while it can be read; then what the house begins with.
  const gate = looks.filter(
    ({ station }) => station === 'cold' && notBefore('cold', state, hasEngine) === 0 && !wasStarted,
  );
  for (const first of gate) for (const look of looks) if (look.station !== 'cold') chain(first.id, look.id);
  const begins = looks.filter(({ station, condition }) => station === input.beginWith && condition === 'any');
  for (const first of begins)
    for (const look of looks) if (look.station !== 'cold' && look.station !== first.station) chain(first.id, look.id);
  for (const group of closing) for (const look of looks) chain(look.id, group.id);
  if (stopNeeded) for (const group of closing) chain(ENGINE_STOP, group.id);
  const oil = oilStops(act, chain, groups);
  const lastRun = closing.filter(({ condition }) => condition === 'running' || condition === 'hot');
  const withLast = hasEngine && (lastRun.length > 0 || oil.fill !== null);
  if (withLast) {
    act(LAST_START, ACT_S.start, 'cabin', 'down');
    act(LAST_STOP, ACT_S.stop, 'cabin', null);
    chain(LAST_START, LAST_STOP);
    if (stopNeeded) chain(ENGINE_STOP, LAST_START);
    if (oil.fill !== null) chain(oil.fill, LAST_START);
    for (const look of looks) chain(look.id, LAST_START);
    for (const group of lastRun) {
      chain(
        LAST_START,
        group.id,
        group.condition === 'hot' ? WARM_UP_S : 0,
        group.condition === 'hot' ? 'warm-up' : null,
      );
      chain(group.id, LAST_STOP);
    }
    for (const group of closing) if (group.condition === 'settled') chain(LAST_STOP, group.id, SETTLE_S, 'settle');
  }
  const handsIn = groups
    .filter(({ station, condition }) => HANDS_IN.includes(station) && condition !== 'running' && condition !== 'hot')
    .map(({ id }) => id)
    .concat(oil.stops);
  return {
    problem: {
      stops,
      lags,
      spans: [
        ...(stopNeeded ? [{ from: startNeeded ? ENGINE_START : null, to: ENGINE_STOP, excluded: handsIn }] : []),
        ...(withLast ? [{ from: LAST_START, to: LAST_STOP, excluded: handsIn }] : []),
      ],
      start: { place: placeOf(input.at, axles), lift: state.lifted ? 'up' : 'down' },
      walkS: walkSeconds,
      liftS: LIFT_S,
    },
    steps: new Map(groups.map(({ id, steps }) => [id, steps])),
  };

  /** The oil service that was begun, as stops of its own: plug out, filter, plug in after draining, fill. */
  function oilStops(
    add: typeof act,
    follow: typeof chain,
    all: readonly Group[],
  ): { readonly stops: string[]; readonly fill: string | null } {
    const ends = openEnds(acts);
    const hangs = (kind: string) => ends.some(({ opened }) => opened.end === kind);
    const begun = hangs('indicator') || hangs('drain-plug');
    if (!begun) return { stops: [], fill: null };
    const known = actsOf(acts, 'open').map(({ end }) => end);
    const made: string[] = [];
    const put = (id: string, seconds: number, place: RoutePlace, lift: Lift, notBeforeS = 0) => {
      add(id, seconds, place, lift, notBeforeS);
      made.push(id);
    };
    const drain = waitsOf(acts).find(({ kind, done }) => kind === 'drain' && !done);
    if (!known.includes('drain-plug')) put('oil/drain', ACT_S.drain, 'under', 'up');
    if (!known.includes('oil-filter') || hangs('oil-filter')) put('oil/filter', ACT_S.filter, 'under', 'up');
    if (!known.includes('drain-plug') || hangs('drain-plug'))
      put('oil/plug', ACT_S.plug, 'under', 'up', drain ? remainingS(drain, nowMs) : 0);
    if (!known.includes('oil-fill') || ends.some(({ opened, filledL }) => opened.end === 'oil-fill' && filledL === 0))
      put('oil/fill', ACT_S.fill, 'bonnet', 'down');
    const has = (id: string) => made.includes(id);
    if (has('oil/drain') && has('oil/plug')) follow('oil/drain', 'oil/plug', USUAL_WAIT_S.drain, 'drain');
    for (const id of ['oil/filter', 'oil/plug']) if (has(id) && has('oil/fill')) follow(id, 'oil/fill');
    const first = made[0];
    // What is read before the oil goes, goes before; it drains well while it is warm.
    if (first === 'oil/drain') {
      for (const group of all) if (group.station === 'cold') follow(group.id, first);
      if (stopNeeded) follow(ENGINE_STOP, first);
    }
    for (const group of all) if (group.station === 'closing') for (const id of made) follow(id, group.id);
    return { stops: made, fill: has('oil/fill') ? 'oil/fill' : (made.at(-1) ?? null) };
  }
}

function notBefore(condition: Condition, state: VehicleState, hasEngine: boolean): number {
  if (!hasEngine || state.running) return 0;
  if (condition === 'cold') return state.hot ? Math.max(0, COOL_S - state.sinceS) : 0;
  if (condition === 'settled' && state.startedToday) return Math.max(0, SETTLE_S - state.sinceS);
  return 0;
}

/** Keys of the points of a stop. */
export function keysOf(steps: readonly WalkStep[]): string[] {
  return steps.flatMap(({ points }) => points.map(({ point, place }) => pointKey(point, place)));
}
