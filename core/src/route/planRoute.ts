import {
  ROUTE_PLACES,
  arrival,
  compileRoute,
  createTimer,
  goTo,
  mayGo,
  routeStart,
  walkOrder,
  type CompiledRoute,
  type RouteLeg,
  type RouteProblem,
  type RouteState,
} from './problem';

/** An order of stops, and how much better none can be. */
export interface RoutePlan {
  readonly legs: readonly RouteLeg[];
  readonly totalS: number;
  /** No order can be shorter than this, s. */
  readonly lowerBoundS: number;
  /** The plan is known to be the shortest. */
  readonly exact: boolean;
}

/** Up to so many stops every order is weighed, without those that cannot win. */
const EXACT_STOPS = 9;
/** How many half-made orders are kept at each length above. */
const BEAM = 40;
const SWEEPS = 4;

/**
 * The order of stops with the least total time that keeps every condition: exact for small problems, a bounded search above,
 * never worse than the plain order. Deterministic. Throws a RangeError where no order keeps the conditions.
 */
export function planRoute(problem: RouteProblem, beam = BEAM): RoutePlan {
  const route = compileRoute(problem);
  if (route.n === 0) return { legs: [], totalS: 0, lowerBoundS: 0, exact: true };
  const bound = lowerBound(route);
  const exact = route.n <= EXACT_STOPS;
  const plain = plainOrder(route);
  const found = exact ? exactOrder(route) : improved(route, beamOrder(route, beam) ?? plain);
  const candidates = [found, exact ? null : plain].flatMap((order) => {
    const legs = order && walkOrder(route, order);
    return legs ? [legs] : [];
  });
  const [first, ...rest] = candidates;
  if (!first) throw new RangeError('no order keeps the conditions of this route');
  const legs = rest.reduce((best, other) => (totalOf(other) < totalOf(best) ? other : best), first);
  const totalS = totalOf(legs);
  return { legs, totalS, lowerBoundS: exact ? totalS : Math.min(totalS, bound), exact: exact || totalS <= bound };
}

const totalOf = (legs: readonly RouteLeg[]) => legs.at(-1)?.endS ?? 0;

/** The stops one after the other as they are listed, each as soon as its conditions allow: what walking by list costs. */
export function plainRoute(problem: RouteProblem): RouteLeg[] | null {
  const route = compileRoute(problem);
  const order = plainOrder(route);
  return order && walkOrder(route, order);
}

function plainOrder(route: CompiledRoute): number[] | null {
  let state = routeStart(route);
  const order: number[] = [];
  while (order.length < route.n) {
    const next = route.seconds.findIndex((_, stop) => mayGo(route, state, stop));
    if (next < 0) return null;
    order.push(next);
    state = goTo(route, state, next);
  }
  return order;
}

/** What remains at least once a state is reached, s from the start. */
function boundFrom(route: CompiledRoute, state: RouteState): number {
  let work = state.timeS;
  let chain = 0;
  for (let stop = 0; stop < route.n; stop += 1) {
    if (state.done[stop]) continue;
    work += route.seconds[stop] ?? 0;
    let ready = Math.max(state.timeS, route.notBefore[stop] ?? 0);
    for (const lag of route.before[stop] ?? [])
      if (state.done[lag.stop]) ready = Math.max(ready, (state.ends[lag.stop] ?? 0) + lag.seconds);
    chain = Math.max(chain, ready + (route.tail[stop] ?? 0));
  }
  return Math.max(work + movesLeft(route, state), chain);
}

/** The least walking and lifting still to come: each place once by its shortest way in, and the lift to the farthest height. */
function movesLeft(route: CompiledRoute, state: RouteState): number {
  const { placeIndex, wayIn, lift, problem } = route;
  const here = ROUTE_PLACES.indexOf(state.place);
  let [walks, seen, lifts] = [0, 1 << here, 0];
  for (let stop = 0; stop < route.n; stop += 1) {
    if (state.done[stop]) continue;
    const at = placeIndex[stop] ?? 0;
    if (!(seen & (1 << at))) {
      seen |= 1 << at;
      walks += wayIn[at] ?? 0;
    }
    const wanted = lift[stop];
    if (wanted != null && wanted !== state.lift) lifts = Math.max(lifts, problem.liftS(state.lift, wanted));
  }
  return walks + lifts;
}

/** {@link lowerBound} of a problem by itself. */
export const routeBound = (problem: RouteProblem): number => lowerBound(compileRoute(problem));

/**
 * No order is shorter than this, s: everything once with the least moves; and for each stop what must come before it, the
 * way back to it, and what must run by itself from there to the end.
 */
function lowerBound(route: CompiledRoute): number {
  const before = Array.from({ length: route.n }, (_, stop) => allBefore(route, stop));
  return Math.max(
    boundFrom(route, routeStart(route)),
    ...before.map((earlier, stop) => workBefore(route, earlier, stop) + (route.tail[stop] ?? 0)),
  );
}

/** Every stop that must be done before this one. */
function allBefore({ before }: CompiledRoute, stop: number): ReadonlySet<number> {
  const found = new Set<number>();
  const waiting = [stop];
  for (let one = waiting.pop(); one !== undefined; one = waiting.pop())
    for (const lag of before[one] ?? [])
      if (!found.has(lag.stop)) {
        found.add(lag.stop);
        waiting.push(lag.stop);
      }
  return found;
}

/** The least time before a stop can begin: the work of what comes before it, each place once, and the way from there to it. */
function workBefore(
  { seconds, placeIndex, wayIn, lift, problem }: CompiledRoute,
  earlier: ReadonlySet<number>,
  stop: number,
): number {
  const start = ROUTE_PLACES.indexOf(problem.start.place);
  const here = placeIndex[stop] ?? start;
  const places = new Set([...earlier].map((one) => placeIndex[one] ?? start));
  const work = [...earlier].reduce((sum, one) => sum + (seconds[one] ?? 0), 0);
  const visited = [...places].filter((place) => place !== start && place !== here);
  const walks = visited.reduce((sum, place) => sum + (wayIn[place] ?? 0), 0);
  // Away from its place before, one comes back to it.
  const back = visited.length > 0 || here !== start ? (wayIn[here] ?? 0) : 0;
  const lifts = [...earlier].flatMap((one) => lift[one] ?? []);
  const own = lift[stop] ?? null;
  const moves = [...lifts, own ?? problem.start.lift].map(
    (height) => problem.liftS(problem.start.lift, height) + (own === null ? 0 : problem.liftS(height, own)),
  );
  return work + walks + back + Math.max(...moves);
}

/** Depth first over every order, cutting those whose bound is no better than the best, and those another way reached earlier. */
function exactOrder(route: CompiledRoute): number[] | null {
  let best: number[] | null = null;
  let bestS = Infinity;
  const reached = new Map<string, { timeS: number; ends: Float64Array }[]>();
  const go = (state: RouteState, order: readonly number[]) => {
    if (order.length === route.n) {
      if (state.timeS < bestS) [best, bestS] = [[...order], state.timeS];
      return;
    }
    if (boundFrom(route, state) >= bestS) return;
    const key = `${state.done.join('')}${state.place}${state.lift}`;
    const before = reached.get(key) ?? [];
    const beaten = before.some(
      ({ timeS, ends }) => timeS <= state.timeS && ends.every((end, stop) => end <= (state.ends[stop] ?? 0)),
    );
    if (beaten) return;
    reached.set(key, [...before, { timeS: state.timeS, ends: state.ends }]);
    const next = route.seconds.map((_, stop) => stop).filter((stop) => mayGo(route, state, stop));
    next.sort((a, b) => arrival(route, state, a) - arrival(route, state, b));
    for (const stop of next) go(goTo(route, state, stop), [...order, stop]);
  };
  go(routeStart(route), []);
  return best;
}

interface Partial {
  readonly state: RouteState;
  readonly order: readonly number[];
  readonly bound: number;
}

/** Keeps the most promising half-made orders at each length, one for each set of stops and place. */
function beamOrder(route: CompiledRoute, beam: number): number[] | null {
  let level: Partial[] = [{ state: routeStart(route), order: [], bound: 0 }];
  for (let depth = 0; depth < route.n; depth += 1) {
    const next = new Map<string, Partial>();
    for (const { state, order } of level)
      for (let stop = 0; stop < route.n; stop += 1) {
        if (!mayGo(route, state, stop)) continue;
        const after = goTo(route, state, stop);
        const key = `${after.done.join('')}${after.place}${after.lift}`;
        const bound = boundFrom(route, after) + after.timeS * 1e-6;
        if (bound < (next.get(key)?.bound ?? Infinity)) next.set(key, { state: after, order: [...order, stop], bound });
      }
    level = [...next.values()].sort((a, b) => a.bound - b.bound).slice(0, beam);
    if (level.length === 0) return null;
  }
  return [...(level[0]?.order ?? [])];
}

/** Moves single stops and short runs of them to where they cost less, until nothing helps. */
function improved(route: CompiledRoute, order: readonly number[] | null): number[] | null {
  if (!order) return null;
  const time = createTimer(route);
  let best = [...order];
  let bestS = time(best, Infinity);
  for (let sweep = 0; sweep < SWEEPS; sweep += 1) {
    const before = bestS;
    for (const length of [1, 2, 3])
      for (let from = 0; from + length <= route.n; from += 1)
        for (let to = 0; to + length <= route.n; to += 1) {
          if (to === from) continue;
          const rest = [...best];
          const moved = rest.splice(from, length);
          rest.splice(to, 0, ...moved);
          const totalS = time(rest, bestS - 1e-9);
          if (totalS < Infinity) [best, bestS] = [rest, totalS];
        }
    if (bestS >= before) break;
  }
  return best;
}
