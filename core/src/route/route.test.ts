import { USUAL_HOUSE_RULES } from '../house/houseRules';
import { templateBy } from '../catalogue/templates';
import { pointKey } from '../catalogue/catalogue';
import { walkSteps } from '../inspection/walkSteps';
import { seededRandom } from '../simulator/random';
import { vehicleState } from '../acts/vehicleState';
import type { Act } from '../acts/act';
import { CAR, findingOf } from '../tests/builders';
import { usedWaits } from './explain';
import { paceOf } from './pace';
import { planRoute, plainRoute, routeBound } from './planRoute';
import { LIFTS, ROUTE_PLACES, compileRoute, type RouteLeg, type RouteProblem, type RouteStop } from './problem';
import { ENGINE_START, ENGINE_STOP, usualSeconds, visitRoute, type RouteInput } from './visitRoute';
import { BAY_MOVES } from './moves';

/** A small made-up problem: stops, orders that cannot go round, waits, one engine run. */
function smallProblem(random: () => number): RouteProblem {
  const draw = (most: number) => Math.floor(random() * most);
  const n = 3 + draw(random() < 0.15 ? 6 : 4);
  const stops = Array.from({ length: n }, (_, at): RouteStop => ({
    id: `s${at}`,
    seconds: 5 + draw(200),
    place: ROUTE_PLACES[draw(ROUTE_PLACES.length)] ?? 'cabin',
    lift: random() < 0.4 ? null : (LIFTS[draw(LIFTS.length)] ?? 'down'),
    notBeforeS: random() < 0.2 ? draw(400) : 0,
  }));
  const lags = Array.from({ length: draw(n) }, () => {
    const before = draw(n - 1);
    const after = before + 1 + draw(n - 1 - before);
    const waits = random() < 0.5;
    return {
      before: `s${before}`,
      after: `s${after}`,
      seconds: waits ? 60 + draw(600) : 0,
      wait: waits ? 'drain' : null,
    } as const;
  });
  const spans = n > 4 && random() < 0.5 ? [{ from: 's0', to: 's2', excluded: [`s${n - 1}`] }] : [];
  return {
    stops,
    lags: spans.length ? [...lags, { before: 's0', after: 's2', seconds: 0, wait: null }] : lags,
    spans,
    start: { place: 'bonnet', lift: 'down' },
    walkS: BAY_MOVES.walkS,
    liftS: (from, to) => (from === to ? 0 : from === 'down' || to === 'down' ? 90 : 40),
  };
}

/** Every order there is, timed by its own arithmetic, straight from the problem. */
function bruteForce({ stops, lags, spans, start, walkS, liftS }: RouteProblem): number {
  let best = Infinity;
  const go = (
    ends: Record<string, number>,
    left: readonly RouteStop[],
    place: typeof start.place,
    lift: typeof start.lift,
    time: number,
  ) => {
    if (left.length === 0) best = Math.min(best, time);
    for (const stop of left) {
      const before = lags.filter((lag) => lag.after === stop.id);
      if (before.some((lag) => ends[lag.before] === undefined)) continue;
      if (
        spans.some(
          (span) =>
            span.excluded.includes(stop.id) &&
            ends[span.to] === undefined &&
            (span.from === null || ends[span.from] !== undefined),
        )
      )
        continue;
      const begin = Math.max(
        time + walkS(place, stop.place) + liftS(lift, stop.lift ?? lift),
        stop.notBeforeS,
        ...before.map((lag) => (ends[lag.before] ?? 0) + lag.seconds),
      );
      const end = begin + stop.seconds;
      go(
        { ...ends, [stop.id]: end },
        left.filter((one) => one !== stop),
        stop.place,
        stop.lift ?? lift,
        end,
      );
    }
  };
  go({}, stops, start.place, start.lift, 0);
  return best;
}

const problemOf = (of: RouteInput): RouteProblem => ({ ...visitRoute(of).question, ...BAY_MOVES });

/** Every condition of a problem, asked of the legs alone. */
function expectKept({ stops, lags, spans }: RouteProblem, legs: readonly RouteLeg[]) {
  const at = new Map(legs.map((leg, order) => [leg.id, { ...leg, order }]));
  expect([...at.keys()].sort()).toEqual(stops.map(({ id }) => id).sort());
  for (const { before, after, seconds } of lags)
    expect(at.get(after)?.startS).toBeGreaterThanOrEqual((at.get(before)?.endS ?? NaN) + seconds - 1e-9);
  for (const stop of stops) {
    expect(at.get(stop.id)?.startS).toBeGreaterThanOrEqual(stop.notBeforeS);
    expect((at.get(stop.id)?.endS ?? NaN) - (at.get(stop.id)?.startS ?? NaN)).toBeCloseTo(stop.seconds);
  }
  for (const { from, to, excluded } of spans)
    for (const id of excluded) {
      const order = at.get(id)?.order ?? NaN;
      const during = order > (from === null ? -1 : (at.get(from)?.order ?? NaN)) && order < (at.get(to)?.order ?? NaN);
      expect(during).toBe(false);
    }
  legs.forEach((leg, order) => expect(leg.startS).toBeGreaterThanOrEqual(legs[order - 1]?.endS ?? 0));
}

test('equal to trying every order on 240 random small problems, every condition kept', () => {
  const random = seededRandom(11);
  let possible = 0;
  for (let problem = 0; possible < 240 && problem < 400; problem += 1) {
    const small = smallProblem(random);
    const best = bruteForce(small);
    if (best === Infinity) {
      expect(() => planRoute(small)).toThrow(RangeError);
      continue;
    }
    possible += 1;
    const plan = planRoute(small);
    expect(plan.exact).toBe(true);
    expect(plan.totalS).toBeCloseTo(best, 6);
    expect(routeBound(small)).toBeLessThanOrEqual(best + 1e-9);
    expectKept(small, plan.legs);
  }
  expect(possible).toBe(240);
});

test('a bound is never above the best, and the bounded search keeps conditions too', () => {
  const random = seededRandom(12);
  for (let problem = 0; problem < 40; problem += 1) {
    const [a, b] = [smallProblem(random), smallProblem(random)];
    const both: RouteProblem = {
      ...a,
      stops: [...a.stops, ...b.stops.map((stop) => ({ ...stop, id: `b${stop.id}` }))],
      lags: [...a.lags, ...b.lags.map((lag) => ({ ...lag, before: `b${lag.before}`, after: `b${lag.after}` }))],
    };
    if (!plainRoute(both)) continue;
    const plan = planRoute(both);
    expectKept(both, plan.legs);
    expect(plan.lowerBoundS).toBeLessThanOrEqual(plan.totalS);
    expect(plan.totalS).toBeLessThanOrEqual(plainRoute(both)?.at(-1)?.endS ?? NaN);
  }
});

test('an order that goes round in a circle, or names what is not there, is refused', () => {
  const stop = (id: string): RouteStop => ({ id, seconds: 10, place: 'cabin', lift: null, notBeforeS: 0 });
  const lag = (before: string, after: string) => ({ before, after, seconds: 0, wait: null });
  const base = { spans: [], start: { place: 'cabin', lift: 'down' }, walkS: BAY_MOVES.walkS, liftS: () => 90 } as const;
  expect(() => compileRoute({ ...base, stops: [stop('a'), stop('b')], lags: [lag('a', 'b'), lag('b', 'a')] })).toThrow(
    'circle',
  );
  expect(() => compileRoute({ ...base, stops: [stop('a')], lags: [lag('a', 'x')] })).toThrow('no stop "x"');
});

describe('a visit’s route', () => {
  const NOW = Date.parse('2026-06-01T08:00:00.000Z');
  const steps = walkSteps({ vehicle: CAR, template: templateBy([], 'full'), house: USUAL_HOUSE_RULES, focus: null });
  const input = (change: Partial<RouteInput> = {}, arrived: 'cold' | 'hot' = 'cold'): RouteInput => ({
    steps,
    isOpen: () => true,
    state: vehicleState(
      { state: arrived, startedAt: new Date(NOW).toISOString() },
      change.acts ?? [],
      change.nowMs ?? NOW,
    ),
    acts: [],
    nowMs: NOW,
    axles: 2,
    hasEngine: true,
    at: 'cold',
    beginWith: 'cold',
    secondsOf: usualSeconds,
    ...change,
  });
  const act = (id: string, content: object): Act =>
    ({ id, inspectionId: 'v', at: new Date(NOW).toISOString(), ...content }) as Act;
  const order = (legs: readonly RouteLeg[]) => legs.map(({ id }) => id);

  test('holds every open step once; the cold gate before the first start, closing up last, nobody under a running engine', () => {
    const { question, steps: byStop } = visitRoute(input());
    const problem = { ...question, ...BAY_MOVES };
    expect([...byStop.values()].flat()).toHaveLength(steps.length);
    expect(problem.stops.length).toBeGreaterThanOrEqual(25);
    expect(problem.lags.map(({ wait }) => wait)).toContain('settle');
    const plan = planRoute(problem, 20);
    expectKept(problem, plan.legs);
    const ids = order(plan.legs);
    const [start, stop] = [ids.indexOf(ENGINE_START), ids.indexOf(ENGINE_STOP)];
    expect(ids.findIndex((id) => id.startsWith('cold'))).toBeLessThan(start);
    ids.forEach((id, at) => {
      if (id.startsWith('under')) expect(at < start || at > stop).toBe(true);
    });
    const firstClosing = ids.findIndex((id) => id.startsWith('closing'));
    const lastLook = ids.findLastIndex((id) => /^(cold|bonnet|cabin|walk|under|\d)/.test(id));
    expect(lastLook).toBeLessThan(firstClosing);
    const waits = usedWaits(problem, plan.legs);
    expect(waits.find(({ wait }) => wait === 'settle')).toBeDefined();
    expect(waits.every(({ usedS, fromS, untilS }) => usedS <= untilS - fromS)).toBe(true);
    expect(plan.totalS).toBeLessThan(plainRoute(problem)?.at(-1)?.endS ?? 0);
  });

  test('arrived hot, what wants a cold engine waits for it; what is done falls out', () => {
    const hot = problemOf(input({}, 'hot')).stops.find(({ id }) => id === 'cold/cold');
    expect(hot?.notBeforeS).toBe(7200);
    expect(problemOf(input()).stops.find(({ id }) => id === 'cold/cold')?.notBeforeS).toBe(0);
    const half = problemOf(input({ isOpen: ({ station }) => station === 'under' })).stops;
    expect(half.every(({ id }) => /^(under|tray)/.test(id))).toBe(true);
    expect(half.length).toBeGreaterThan(1);
  });

  test('the undertray and the wheels of drums come off for what is behind them, and go on before closing up', () => {
    const drums = {
      ...CAR,
      axles: CAR.axles.map((axle, at) => (at === 0 ? axle : { ...axle, brake: 'drum' as const })),
    };
    const inspected = walkSteps({
      vehicle: drums,
      template: templateBy([], 'full'),
      house: USUAL_HOUSE_RULES,
      focus: null,
    });
    const problem = problemOf(input({ steps: inspected }));
    const plan = planRoute(problem, 20);
    expectKept(problem, plan.legs);
    const ids = order(plan.legs);
    for (const [off, look, on] of [
      ['tray/off', 'under/engine/any', 'tray/on'],
      ['wheel/2L/off', '2L/any', 'wheel/2L/on'],
      ['wheel/2R/off', '2R/any', 'wheel/2R/on'],
    ] as const) {
      expect(ids.indexOf(off)).toBeGreaterThanOrEqual(0);
      expect(ids.indexOf(off)).toBeLessThan(ids.indexOf(look));
      expect(ids.indexOf(look)).toBeLessThan(ids.indexOf(on));
      expect(ids.indexOf(on)).toBeLessThan(ids.findIndex((id) => id.startsWith('closing')));
    }
    const isOff = [act('t', { kind: 'open', end: 'tray', place: '', fasteners: 8 })];
    expect(order(planRoute(problemOf(input({ acts: isOff })), 20).legs)).not.toContain('tray/off');
  });

  test.each([
    ['stood cold', 'cold', false],
    ['stood cold, with an oil service', 'cold', true],
    ['arrived hot', 'hot', false],
    ['arrived hot, with an oil service', 'hot', true],
  ] as const)('a full visit, %s, is at most a tenth longer than any order could be', (_, arrived, service) => {
    const begun = service ? [act('a1', { kind: 'open', end: 'indicator', place: '', fasteners: null })] : [];
    const { totalS, lowerBoundS } = planRoute(problemOf(input({ acts: begun }, arrived)));
    expect(totalS / lowerBoundS).toBeLessThanOrEqual(1.1);
  });

  test('an oil service drains while the wheels are done, and is filled before the last run', () => {
    const begun = [act('a1', { kind: 'open', end: 'indicator', place: '', fasteners: null })];
    const problem = problemOf(input({ acts: begun }));
    const plan = planRoute(problem, 20);
    expectKept(problem, plan.legs);
    const ids = order(plan.legs);
    expect(ids.indexOf('oil/plug')).toBeLessThan(ids.indexOf('oil/fill'));
    expect(ids.indexOf('oil/fill')).toBeLessThan(ids.indexOf('last-start'));
    const drain = usedWaits(problem, plan.legs).find(({ wait }) => wait === 'drain');
    expect(drain?.usedS).toBeGreaterThan(300);
  });

  test('a drain that already runs is waited for only as long as it still has to go', () => {
    const acts = [
      act('a1', { kind: 'open', end: 'drain-plug', place: '', fasteners: null }),
      act('a2', { kind: 'wait', wait: 'drain', lengthS: 600 }),
    ];
    const problem = problemOf(input({ acts, nowMs: NOW + 240_000 }));
    expect(problem.stops.find(({ id }) => id === 'oil/plug')?.notBeforeS).toBe(360);
    expect(problem.stops.some(({ id }) => id === 'oil/drain')).toBe(false);
  });

  test('coolant that is out goes back in once its flush has run, before the engine', () => {
    const acts = [
      act('a1', { kind: 'open', end: 'coolant-drain', place: '', fasteners: null }),
      act('a2', { kind: 'wait', wait: 'flush', lengthS: 900 }),
    ];
    const problem = problemOf(input({ acts, nowMs: NOW + 300_000 }));
    expect(problem.stops.find(({ id }) => id === 'coolant/fill')?.notBeforeS).toBe(600);
    const plan = planRoute(problem, 20);
    expectKept(problem, plan.legs);
    const ids = order(plan.legs);
    expect(ids.indexOf('coolant/fill')).toBeLessThan(ids.indexOf(ENGINE_START));
    expect(ids.indexOf('coolant/fill')).toBeLessThan(ids.indexOf('last-start'));
    expect(order(planRoute(problemOf(input()), 20).legs)).not.toContain('coolant/fill');
  });

  test('a battery put to rest is read after it, coolant under 40 °C before the engine has cooled', () => {
    const rest = (id: string, acts: readonly Act[], arrived: 'cold' | 'hot') =>
      problemOf(input({ acts }, arrived)).stops.find((stop) => stop.id === id)?.notBeforeS;
    const waiting = [act('a1', { kind: 'wait', wait: 'battery-rest', lengthS: 3600 })];
    expect(rest('bonnet/rested', waiting, 'cold')).toBe(3600);
    expect(rest('bonnet/rested', [], 'cold')).toBe(0);
    const cooled = [act('a1', { kind: 'state', change: 'coolant-cool' })];
    expect([rest('bonnet/cold', [], 'hot'), rest('bonnet/cold', cooled, 'hot')]).toEqual([7200, 0]);
    expect(rest('bonnet/rested', cooled, 'hot')).toBe(7200);
  });

  test('wheels are worked at by the chest, the underside is stood under: one height after the other', () => {
    const problem = problemOf(input());
    const heights = new Map(problem.stops.map(({ id, lift }) => [id, lift]));
    expect([heights.get('1L/any'), heights.get('1L/tyres/any'), heights.get('under/engine/any')]).toEqual([
      'chest',
      null,
      'full',
    ]);
    const moves = planRoute(problem, 20).legs.flatMap(({ id }) => heights.get(id) ?? []);
    expect(moves.filter((height, at) => height !== moves[at - 1]).length).toBeLessThanOrEqual(6);
  });

  test('the house’s begin-with comes first after the gate', () => {
    for (const beginWith of ['under', 'cabin'] as const) {
      const ids = order(planRoute(problemOf(input({ beginWith })), 20).legs).filter((id) => !/^(cold|tray)/.test(id));
      expect(ids[0]?.startsWith(beginWith)).toBe(true);
    }
    expect(order(planRoute(problemOf(input()), 20).legs)[0]).toBe('cold/cold');
  });

  test('with the engine running, what wants it off waits for its stop', () => {
    const acts = [act('a1', { kind: 'state', change: 'engine-start' })];
    const problem = problemOf(input({ acts, nowMs: NOW + 60_000 }));
    expect(order(planRoute(problem, 20).legs)).not.toContain(ENGINE_START);
    expect(problem.lags).toContainEqual({ before: ENGINE_STOP, after: 'cold/cold', seconds: 7200, wait: 'cool-down' });
  });

  test('an electric vehicle has no engine to start, and nothing to wait for', () => {
    const problem = problemOf(input({ hasEngine: false }));
    expect(problem.stops.some(({ id }) => id === ENGINE_START)).toBe(false);
    expect(problem.lags.every(({ wait }) => wait === null)).toBe(true);
  });
});

test('the pace is one’s own once there is enough of it; breaks and strokes do not count', () => {
  const ref = { point: 'belt.aux', place: '' } as const;
  const at = (s: number, change = {}) => ({
    ...findingOf('belt.aux', '', change),
    at: new Date(Date.parse('2026-06-01T08:00:00Z') + s * 1000).toISOString(),
  });
  const own = [at(0), at(20), at(50), at(90), at(2000), at(2005, { inOneStroke: true })];
  expect(paceOf([own])(ref)).toBe(30);
  expect(paceOf([own.slice(0, 3)])(ref)).toBe(usualSeconds(ref));
  expect(pointKey(ref.point, ref.place)).toBe('belt.aux');
});
