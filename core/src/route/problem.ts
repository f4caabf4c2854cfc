import type { WaitKind } from '../acts/act';

/** Where the inspector stands. */
export const ROUTE_PLACES = [
  'cabin',
  'round',
  'bonnet',
  'front-left',
  'front-right',
  'rear-right',
  'rear-left',
  'under',
] as const;
/** Where one stands at a vehicle. */
export type RoutePlace = (typeof ROUTE_PLACES)[number];
/** How high the vehicle hangs: on its wheels, wheels at chest height, or so that one stands under it. */
export const LIFTS = ['down', 'chest', 'full'] as const;
/** How high the vehicle hangs. */
export type Lift = (typeof LIFTS)[number];

/** What is done in one go at one place in one state. */
export interface RouteStop {
  readonly id: string;
  readonly seconds: number;
  readonly place: RoutePlace;
  /** Null: either will do. */
  readonly lift: Lift | null;
  /** Not before so many seconds from now: something is still running. */
  readonly notBeforeS: number;
}

/** One after the other, with a wait that runs by itself between them; 0 s where only the order counts. */
export interface RouteLag {
  readonly before: string;
  readonly after: string;
  readonly seconds: number;
  readonly wait: WaitKind | null;
}

/** While `from` is done and `to` is not, e.g. while the engine runs, these stops are not worked at. */
export interface RouteSpan {
  /** Null: it has begun already. */
  readonly from: string | null;
  readonly to: string;
  readonly excluded: readonly string[];
}

/** Stops to be put into an order, and what binds them: plain data, it crosses to a worker. */
export interface RouteQuestion {
  readonly stops: readonly RouteStop[];
  readonly lags: readonly RouteLag[];
  readonly spans: readonly RouteSpan[];
  readonly start: { readonly place: RoutePlace; readonly lift: Lift };
}

/** What moving about costs. */
export interface RouteMoves {
  /** Seconds from place to place. */
  readonly walkS: (from: RoutePlace, to: RoutePlace) => number;
  /** Raising or lowering from height to height, with its lock or stands confirmed, s; by a third height is never shorter. */
  readonly liftS: (from: Lift, to: Lift) => number;
}

/** A question with what moving costs where it is answered. */
export type RouteProblem = RouteQuestion & RouteMoves;

/** A stop of a planned route with its times. */
export interface RouteLeg {
  readonly id: string;
  /** Seconds from now at which work there begins and ends. */
  readonly startS: number;
  readonly endS: number;
}

/** The problem with numbers for names: what the searches run on. */
export interface CompiledRoute {
  readonly problem: RouteProblem;
  readonly n: number;
  readonly seconds: readonly number[];
  readonly lift: readonly (Lift | null)[];
  readonly place: readonly RoutePlace[];
  readonly notBefore: readonly number[];
  readonly placeIndex: readonly number[];
  /** The shortest way to each place from any other, s. */
  readonly wayIn: readonly number[];
  readonly before: readonly (readonly { readonly stop: number; readonly seconds: number }[])[];
  readonly after: readonly (readonly { readonly stop: number; readonly seconds: number }[])[];
  readonly spans: readonly { readonly from: number; readonly to: number; readonly excluded: ReadonlySet<number> }[];
  /** Seconds that must pass from the start of a stop to the very end, itself counted. */
  readonly tail: readonly number[];
}

/** Throws a RangeError where a lag or span names no stop, or lags go round in a circle. */
export function compileRoute(problem: RouteProblem): CompiledRoute {
  const { stops, lags } = problem;
  const index = new Map(stops.map(({ id }, at) => [id, at]));
  const at = (id: string) => {
    const found = index.get(id);
    if (found === undefined) throw new RangeError(`no stop "${id}" in the route`);
    return found;
  };
  const linked = (side: 'before' | 'after') =>
    stops.map(({ id }) =>
      lags
        .filter((lag) => lag[side === 'before' ? 'after' : 'before'] === id)
        .map((lag) => ({ stop: at(lag[side]), seconds: lag.seconds })),
    );
  const after = linked('after');
  const tail: number[] = [];
  const going = new Set<number>();
  const tailOf = (stop: number): number => {
    const known = tail[stop];
    if (known !== undefined) return known;
    if (going.has(stop)) throw new RangeError(`the order goes round in a circle at "${stops[stop]?.id}"`);
    going.add(stop);
    const rest = Math.max(0, ...(after[stop] ?? []).map((lag) => lag.seconds + tailOf(lag.stop)));
    return (tail[stop] = (stops[stop]?.seconds ?? 0) + rest);
  };
  stops.forEach((_, stop) => tailOf(stop));
  return {
    problem,
    n: stops.length,
    seconds: stops.map((stop) => stop.seconds),
    lift: stops.map((stop) => stop.lift),
    place: stops.map((stop) => stop.place),
    notBefore: stops.map((stop) => stop.notBeforeS),
    placeIndex: stops.map((stop) => ROUTE_PLACES.indexOf(stop.place)),
    wayIn: ROUTE_PLACES.map((to) =>
      Math.min(...ROUTE_PLACES.filter((from) => from !== to).map((from) => problem.walkS(from, to))),
    ),
    before: linked('before'),
    after,
    spans: problem.spans.map(({ from, to, excluded }) => ({
      from: from === null ? -1 : at(from),
      to: at(to),
      excluded: new Set(excluded.map(at)),
    })),
    tail,
  };
}

/** A place in a search: what is done, where one stands, and when. */
export interface RouteState {
  readonly done: Uint8Array;
  readonly ends: Float64Array;
  readonly place: RoutePlace;
  readonly lift: Lift;
  readonly timeS: number;
}

/** The state a route begins in, before its first leg. */
export function routeStart({ n, problem }: CompiledRoute): RouteState {
  return { done: new Uint8Array(n), ends: new Float64Array(n), ...problem.start, timeS: 0 };
}

/** Whether a stop may come next: what must come before it is done, and nothing that forbids it is going on. */
export function mayGo({ before, spans }: CompiledRoute, state: RouteState, stop: number): boolean {
  if (state.done[stop]) return false;
  for (const lag of before[stop] ?? []) if (!state.done[lag.stop]) return false;
  for (const { from, to, excluded } of spans)
    if (excluded.has(stop) && !state.done[to] && (from < 0 || state.done[from])) return false;
  return true;
}

/** @throws RangeError where there is no such stop */
function placeAt(places: readonly RoutePlace[], stop: number): RoutePlace {
  const place = places[stop];
  if (place === undefined) throw new RangeError(`there is no stop ${stop}`);
  return place;
}

/** When work at a stop begins if one goes there now, s: the way, the lift, and what it still has to wait for. */
export function arrival(route: CompiledRoute, state: RouteState, stop: number): number {
  const { problem, place, lift, notBefore, before } = route;
  const way = problem.walkS(state.place, placeAt(place, stop));
  const raised = problem.liftS(state.lift, lift[stop] ?? state.lift);
  let start = Math.max(state.timeS + way + raised, notBefore[stop] ?? 0);
  for (const lag of before[stop] ?? []) start = Math.max(start, (state.ends[lag.stop] ?? 0) + lag.seconds);
  return start;
}

/** The state after the stop has been done. */
export function goTo(route: CompiledRoute, state: RouteState, stop: number): RouteState {
  const timeS = arrival(route, state, stop) + (route.seconds[stop] ?? 0);
  const done = state.done.slice();
  const ends = state.ends.slice();
  done[stop] = 1;
  ends[stop] = timeS;
  return { done, ends, place: placeAt(route.place, stop), lift: route.lift[stop] ?? state.lift, timeS };
}

/** Times orders without making anything: `Infinity` for one that breaks a condition or is no better than `cutoffS`. */
export function createTimer(route: CompiledRoute): (order: readonly number[], cutoffS: number) => number {
  const { n, problem, place, lift, seconds, notBefore, before, spans } = route;
  const walk = new Float64Array((n + 1) * n);
  for (let from = 0; from <= n; from += 1)
    for (let to = 0; to < n; to += 1)
      walk[from * n + to] = problem.walkS(from === n ? problem.start.place : placeAt(place, from), placeAt(place, to));
  // Where a stop stands in the order, or `n` while it is not yet done; its end beside it.
  const ends = new Float64Array(n);
  const done = new Uint8Array(n);
  return (order, cutoffS) => {
    done.fill(0);
    let time = 0;
    let at = n;
    let raised = problem.start.lift;
    for (const stop of order) {
      let start = time + (walk[at * n + stop] ?? 0);
      const wanted = lift[stop];
      if (wanted != null && wanted !== raised) {
        start += problem.liftS(raised, wanted);
        raised = wanted;
      }
      start = Math.max(start, notBefore[stop] ?? 0);
      for (const lag of before[stop] ?? []) {
        if (!done[lag.stop]) return Infinity;
        start = Math.max(start, (ends[lag.stop] ?? 0) + lag.seconds);
      }
      for (const { from, to, excluded } of spans)
        if (!done[to] && (from < 0 || done[from]) && excluded.has(stop)) return Infinity;
      time = start + (seconds[stop] ?? 0);
      if (time >= cutoffS) return Infinity;
      done[stop] = 1;
      ends[stop] = time;
      at = stop;
    }
    return time;
  };
}

/** The legs of an order, or null where it breaks a condition. */
export function walkOrder(route: CompiledRoute, order: readonly number[]): RouteLeg[] | null {
  let state = routeStart(route);
  const legs: RouteLeg[] = [];
  for (const stop of order) {
    if (!mayGo(route, state, stop)) return null;
    const startS = arrival(route, state, stop);
    state = goTo(route, state, stop);
    legs.push({ id: route.problem.stops[stop]?.id ?? '', startS, endS: state.timeS });
  }
  return order.length === route.n ? legs : null;
}
