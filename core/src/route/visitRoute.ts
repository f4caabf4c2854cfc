import { cataloguePoint, pointKey } from '../catalogue/catalogue';
import type { CataloguePoint, Need } from '../catalogue/points/point';
import { actsOf, USUAL_WAIT_S, type Act, type WaitKind } from '../acts/act';
import type { EndKind } from '../acts/endKinds';
import { openEnds } from '../acts/looseEnds';
import { COOL_S, SETTLE_S, WARM_UP_S, type VehicleState } from '../acts/vehicleState';
import { remainingS, waitsOf } from '../acts/waits';
import type { HouseRules } from '../house/houseRules';
import type { PointRef } from '../inspection/pointRef';
import type { WalkStep } from '../inspection/walkSteps';
import type { Lift, RouteLag, RoutePlace, RouteQuestion, RouteStop } from './problem';

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
  readonly question: RouteQuestion;
  /** Steps by stop id; none for what is only done to the vehicle. */
  readonly steps: ReadonlyMap<string, readonly WalkStep[]>;
}

/** What is done to the vehicle between looks. */
export const ENGINE_START = 'engine-start';
export const ENGINE_STOP = 'engine-stop';
const LAST_START = 'last-start';
const LAST_STOP = 'last-stop';
const COOLANT_FILL = 'coolant/fill';

/** Turning the key and watching the lamps; turning it back. */
const ACT_S = {
  start: 20,
  stop: 8,
  drain: 120,
  filter: 180,
  plug: 120,
  fill: 240,
  tray: 120,
  wheel: 60,
} as const;

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

type Condition = 'any' | 'cold' | 'rested' | 'settled' | 'running' | 'hot';

function conditionOf(needs: readonly Need[]): Condition {
  if (needs.includes('running-hot')) return 'hot';
  if (needs.includes('running')) return 'running';
  if (needs.includes('off-settled')) return 'settled';
  if (needs.includes('off-rested')) return 'rested';
  return needs.includes('off-cold') || needs.includes('never-started-today') ? 'cold' : 'any';
}

/** A tyre is read at any height; wheels are worked at by the chest, the underside is stood under; everything else stands. */
function liftOf({ station, id }: Pick<Group, 'station' | 'id'>): Lift | null {
  if (station === 'wheel' && id.includes('/tyres')) return null;
  return station === 'wheel' ? 'chest' : station === 'under' ? 'full' : 'down';
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

/** A plan while it is made: its stops, and what follows what. */
interface Draft {
  readonly input: RouteInput;
  readonly groups: readonly Group[];
  /** Everything that is not closing up. */
  readonly looks: readonly Group[];
  readonly closing: readonly Group[];
  readonly stops: RouteStop[];
  readonly lags: RouteLag[];
}

function chain({ lags }: Draft, before: string, after: string, seconds = 0, wait: WaitKind | null = null): void {
  lags.push({ before, after, seconds, wait });
}

/** Something done to the vehicle. */
function act(
  { stops }: Draft,
  id: string,
  seconds: number,
  place: RoutePlace,
  lift: Lift | null,
  notBeforeS = 0,
): void {
  stops.push({ id, seconds, place, lift, notBeforeS });
}

const isRunning = ({ condition }: Group) => condition === 'running' || condition === 'hot';
const isResting = ({ condition }: Group) => ['cold', 'rested', 'settled'].includes(condition);

/** The stops, moves, waits and conditions of what is still to be done in a visit. */
export function visitRoute(input: RouteInput): VisitRoute {
  const { state, axles } = input;
  const groups = groupsOf(input);
  const closing = groups.filter(({ station }) => station === 'closing');
  const looks = groups.filter(({ station }) => station !== 'closing');
  const draft: Draft = { input, groups, looks, closing, stops: groups.map((group) => stopOf(group, input)), lags: [] };
  const run = engineRun(draft);
  ordered(draft);
  partsOff(draft);
  if (run) for (const group of closing) chain(draft, ENGINE_STOP, group.id);
  const oil = oilStops(draft, run !== null);
  const coolant = coolantStop(draft, run !== null);
  const hasLast = lastRun(draft, run !== null, oil.fill);
  if (coolant && hasLast) chain(draft, coolant, LAST_START);
  const handsIn = groups
    .filter((group) => HANDS_IN.includes(group.station) && !isRunning(group))
    .map(({ id }) => id)
    .concat(oil.stops, coolant ?? []);
  return {
    question: {
      stops: draft.stops,
      lags: draft.lags,
      spans: [
        ...(run ? [{ ...run, excluded: handsIn }] : []),
        ...(hasLast ? [{ from: LAST_START, to: LAST_STOP, excluded: handsIn }] : []),
      ],
      start: {
        place: placeOf(input.at, axles),
        lift: !state.lifted ? 'down' : input.at === 'under' ? 'full' : 'chest',
      },
    },
    steps: new Map(groups.map(({ id, steps }) => [id, steps])),
  };
}

function stopOf(group: Group, { acts, axles, hasEngine, nowMs, secondsOf, state }: RouteInput): RouteStop {
  // A battery put to rest by hand, after its surface charge was taken, rests on though no engine ran.
  const rests = group.condition === 'rested' ? waitLeft(acts, 'battery-rest', nowMs) : 0;
  return {
    id: group.id,
    seconds: group.steps.flatMap(({ points }) => points).reduce((sum, ref) => sum + secondsOf(ref), 0),
    place: placeOf(group.stop, axles),
    lift: liftOf(group),
    notBeforeS: Math.max(rests, notBefore(group.condition, state, hasEngine)),
  };
}

/** Seconds a wait that was begun has still to go; 0 where none runs. */
function waitLeft(acts: readonly Act[], kind: WaitKind, nowMs: number): number {
  return Math.max(0, ...waitsOf(acts).map((wait) => (wait.kind === kind && !wait.done ? remainingS(wait, nowMs) : 0)));
}

/** Coolant that is out goes back in once what is flushed has run, before the engine and before closing up; null where none is. */
function coolantStop(draft: Draft, hasRun: boolean): string | null {
  const { acts, nowMs, state } = draft.input;
  if (!openEnds(acts).some(({ opened }) => opened.end === 'coolant-drain')) return null;
  act(draft, COOLANT_FILL, ACT_S.fill, 'bonnet', 'down', waitLeft(acts, 'flush', nowMs));
  if (hasRun && !state.running) chain(draft, COOLANT_FILL, ENGINE_START);
  for (const group of draft.closing) chain(draft, COOLANT_FILL, group.id);
  return COOLANT_FILL;
}

/** The engine started for what wants it running, and stopped before what does not; null where it stays off. */
function engineRun(draft: Draft): { readonly from: string | null; readonly to: string } | null {
  const { looks } = draft;
  const { hasEngine, state } = draft.input;
  const running = looks.filter(isRunning);
  if (!hasEngine || (running.length === 0 && !state.running)) return null;
  const isStarted = !state.running;
  if (isStarted) act(draft, ENGINE_START, ACT_S.start, 'cabin', 'down');
  act(draft, ENGINE_STOP, ACT_S.stop, 'cabin', null);
  // The gate and everything that wants a cold engine come first; there is no second first start.
  if (isStarted) for (const group of looks.filter(isResting)) chain(draft, group.id, ENGINE_START);
  for (const group of running) {
    const isWarming = group.condition === 'hot' && !state.hot;
    if (isStarted) chain(draft, ENGINE_START, group.id, ...(isWarming ? WARMING : NO_WAIT));
    chain(draft, group.id, ENGINE_STOP);
  }
  if (!isStarted)
    for (const group of looks.filter(isResting)) chain(draft, ENGINE_STOP, group.id, ...REST[group.condition]);
  return { from: isStarted ? ENGINE_START : null, to: ENGINE_STOP };
}
type Wait = readonly [seconds: number, wait: WaitKind | null];
const NO_WAIT: Wait = [0, null];
const WARMING: Wait = [WARM_UP_S, 'warm-up'];
const COOLING: Wait = [COOL_S, 'cool-down'];
const SETTLING: Wait = [SETTLE_S, 'settle'];
/** What an engine that stops is waited for by. */
const REST: Readonly<Record<Condition, Wait>> = {
  any: NO_WAIT,
  running: NO_WAIT,
  hot: NO_WAIT,
  settled: SETTLING,
  cold: COOLING,
  rested: [USUAL_WAIT_S['battery-rest'], 'battery-rest'],
};

/** The gate first, while it can be read; then what the house begins with; closing up last. */
function ordered(draft: Draft): void {
  const { closing, looks } = draft;
  const { beginWith, hasEngine, state } = draft.input;
  const canRead = notBefore('cold', state, hasEngine) === 0 && !state.running;
  for (const gate of looks.filter(({ station }) => station === 'cold' && canRead))
    for (const look of looks) if (look.station !== 'cold') chain(draft, gate.id, look.id);
  for (const first of looks.filter(({ station, condition }) => station === beginWith && condition === 'any'))
    for (const look of looks)
      if (look.station !== 'cold' && look.station !== first.station) chain(draft, first.id, look.id);
  for (const group of closing) for (const look of looks) chain(draft, look.id, group.id);
}

/** The engine run once more for what is looked at then, and for new oil; whether it is. */
function lastRun(draft: Draft, isStopped: boolean, fill: string | null): boolean {
  const { closing, looks } = draft;
  const running = closing.filter(isRunning);
  if (!draft.input.hasEngine || (running.length === 0 && fill === null)) return false;
  act(draft, LAST_START, ACT_S.start, 'cabin', 'down');
  act(draft, LAST_STOP, ACT_S.stop, 'cabin', null);
  chain(draft, LAST_START, LAST_STOP);
  if (isStopped) chain(draft, ENGINE_STOP, LAST_START);
  if (fill !== null) chain(draft, fill, LAST_START);
  for (const look of looks) chain(draft, look.id, LAST_START);
  for (const group of running) {
    chain(draft, LAST_START, group.id, ...(group.condition === 'hot' ? WARMING : NO_WAIT));
    chain(draft, group.id, LAST_STOP);
  }
  for (const group of closing) if (group.condition === 'settled') chain(draft, LAST_STOP, group.id, ...SETTLING);
  return true;
}

/** Trays and wheels that come off for what is looked at behind them, and go back on before closing up. */
function partsOff(draft: Draft): void {
  const { looks, closing, input } = draft;
  const wants = (group: Group, need: Need) =>
    group.steps.some(({ points }) => points.some(({ point }) => cataloguePoint(point).needs.includes(need)));
  const around = (groups: readonly Group[], name: string, seconds: number, place: RoutePlace, isOff: boolean) => {
    if (groups.length === 0) return;
    const height = place === 'under' ? 'full' : 'chest';
    if (!isOff) act(draft, `${name}/off`, seconds, place, height);
    act(draft, `${name}/on`, seconds, place, height);
    for (const group of groups) {
      if (!isOff) chain(draft, `${name}/off`, group.id);
      chain(draft, group.id, `${name}/on`);
    }
    for (const group of closing) chain(draft, `${name}/on`, group.id);
  };
  const { state, axles } = input;
  around(
    looks.filter((group) => wants(group, 'tray-off')),
    'tray',
    ACT_S.tray,
    'under',
    state.trayOff === true,
  );
  for (const group of looks.filter((one) => wants(one, 'wheel-off')))
    around(
      [group],
      `wheel/${group.stop}`,
      ACT_S.wheel,
      placeOf(group.stop, axles),
      state.wheelsOff.some((place) => place === group.stop),
    );
}

/** The oil service that was begun, as stops of its own: plug out, filter, plug in after draining, fill. */
function oilStops(draft: Draft, isStopped: boolean): { readonly stops: string[]; readonly fill: string | null } {
  const { closing, groups } = draft;
  const { acts, nowMs } = draft.input;
  const ends = openEnds(acts);
  const hangs = (kind: string) => ends.some(({ opened }) => opened.end === kind);
  if (!hangs('indicator') && !hangs('drain-plug')) return { stops: [], fill: null };
  const opened = actsOf(acts, 'open').map(({ end }) => end);
  const notYet = (kind: EndKind) => !opened.includes(kind);
  const made: string[] = [];
  const put = (id: string, seconds: number, place: RoutePlace, lift: Lift, notBeforeS = 0) => {
    act(draft, id, seconds, place, lift, notBeforeS);
    made.push(id);
  };
  const isEmpty = ends.some(({ opened: end, filledL }) => end.end === 'oil-fill' && filledL === 0);
  if (notYet('drain-plug')) put('oil/drain', ACT_S.drain, 'under', 'full');
  if (notYet('oil-filter') || hangs('oil-filter')) put('oil/filter', ACT_S.filter, 'under', 'full');
  if (notYet('drain-plug') || hangs('drain-plug'))
    put('oil/plug', ACT_S.plug, 'under', 'full', waitLeft(acts, 'drain', nowMs));
  if (notYet('oil-fill') || isEmpty) put('oil/fill', ACT_S.fill, 'bonnet', 'down');
  const has = (id: string) => made.includes(id);
  if (has('oil/drain') && has('oil/plug')) chain(draft, 'oil/drain', 'oil/plug', USUAL_WAIT_S.drain, 'drain');
  for (const id of ['oil/filter', 'oil/plug']) if (has(id) && has('oil/fill')) chain(draft, id, 'oil/fill');
  // What is read before the oil goes, goes before; it drains well while it is warm.
  if (has('oil/drain')) {
    for (const group of groups) if (group.station === 'cold') chain(draft, group.id, 'oil/drain');
    if (isStopped) chain(draft, ENGINE_STOP, 'oil/drain');
  }
  for (const group of closing) for (const id of made) chain(draft, id, group.id);
  return { stops: made, fill: has('oil/fill') ? 'oil/fill' : (made.at(-1) ?? null) };
}

function notBefore(condition: Condition, state: VehicleState, hasEngine: boolean): number {
  if (!hasEngine || state.running) return 0;
  if (condition === 'cold') return state.warm && !state.coolantCool ? Math.max(0, COOL_S - state.sinceS) : 0;
  if (condition === 'rested') return state.warm ? Math.max(0, COOL_S - state.sinceS) : 0;
  if (condition === 'settled' && state.startedToday) return Math.max(0, SETTLE_S - state.sinceS);
  return 0;
}

/** Keys of the points of a stop. */
export function keysOf(steps: readonly WalkStep[]): string[] {
  return steps.flatMap(({ points }) => points.map(({ point, place }) => pointKey(point, place)));
}
