import type { Place } from '../vehicle/vehicle';
import fc from 'fast-check';
import { USUAL_HOUSE_RULES } from '../house/houseRules';
import { gradePoint } from '../grading/gradePoint';
import { CAR, contextOf, findingOf, inspectionOf } from '../tests/builders';
import { BLANK_SPEC, PLAIN_FLUID, PLAIN_TORQUE, type SpecSheet } from '../vehicle/specSheet';
import type { FaultCode } from '../catalogue/counted';
import { NO_PROOF, type Act, type ActContent, type EndProof, type StateChange } from './act';
import { looseEnds, nextFillL, openEnds, proofDoubts, proofProblems } from './looseEnds';
import { oilService, startBlockers } from './oilService';
import type { PointRef } from '../inspection/pointRef';
import { readable } from './readable';
import { stepActs } from './stepActs';
import { unmetNeeds, vehicleState } from './vehicleState';
import { remainingS, trustedNow, waitsOf } from './waits';

const START = Date.parse('2026-06-01T08:00:00.000Z');
let made = 0;
const act = (minute: number, content: ActContent, id = `act-${String((made += 1)).padStart(6, '0')}`): Act => ({
  id,
  inspectionId: 'visit',
  at: new Date(START + minute * 60_000).toISOString(),
  ...content,
});
const opened = (end: Extract<ActContent, { kind: 'open' }>['end'], fasteners: number | null = null) =>
  act(0, { kind: 'open', end, place: '', fasteners }) as Extract<Act, { kind: 'open' }>;
const proof = (change: Partial<EndProof>): EndProof => ({ ...NO_PROOF, ...change });
const spec: SpecSheet = {
  ...BLANK_SPEC,
  torques: [{ ...PLAIN_TORQUE, fastener: 'wheel-bolts', newtonMetres: 120, socket: '17' }],
  fluids: [{ ...PLAIN_FLUID, fluid: 'engine-oil', grade: '5W-30', capacityL: 4.5 }],
};
const context = { spec, house: USUAL_HOUSE_RULES };

describe('loose ends', () => {
  test('what is opened hangs until it is closed; the first closing counts, a second is harmless', () => {
    const tray = opened('tray', 6);
    const first = act(5, { kind: 'close', opens: tray.id, proof: proof({ fasteners: 6 }) });
    const second = act(6, { kind: 'close', opens: tray.id, proof: proof({ fasteners: 5 }) });
    expect(openEnds([tray]).map(({ opened: { end } }) => end)).toEqual(['tray']);
    expect(openEnds([tray, first])).toEqual([]);
    expect(looseEnds([second, tray, first])[0]?.closed).toBe(first);
  });

  test.each([
    ['tray', 6, {}, ['fasteners']],
    ['tray', 6, { fasteners: 7 }, ['fasteners']],
    ['tray', 6, { fasteners: 6 }, []],
    ['drain-plug', null, { torqueNm: 30 }, ['washer']],
    ['drain-plug', null, { torqueNm: 0, washer: 'new' }, ['torqueNm']],
    ['drain-plug', null, { torqueNm: 30, washer: 'new' }, []],
    ['wheel', 5, { fasteners: 5, torqueNm: 120, onGround: false }, ['onGround']],
    ['wheel', 5, { fasteners: 5, torqueNm: 120, onGround: true }, []],
    ['oil-filter', null, {}, ['oldSealSeen']],
    ['filler-cap', null, {}, []],
    ['key', null, {}, ['seenTo']],
    ['key', null, { seenTo: false }, ['seenTo']],
    ['key', null, { seenTo: true }, []],
    ['codes-cleared', null, {}, ['seenTo']],
    ['fuel-filter', null, { oldSealSeen: true }, ['primed']],
    ['fuel-filter', null, { oldSealSeen: true, primed: false }, ['primed']],
    ['axle-fill-plug', null, { torqueNm: 40 }, ['seenTo']],
    ['coolant-drain', null, { litres: 7 }, ['level']],
  ] as const)('%s of %s fasteners closed with %j lacks %j', (end, fasteners, given, lacks) => {
    expect(proofProblems(opened(end, fasteners), proof(given), context).map(({ field }) => field)).toEqual(lacks);
  });

  test.each([
    [120, []],
    [105, []],
    [100, ['torque-off']],
    [140, ['torque-off']],
  ] as const)('a wheel bolt at %s of 120 N·m asks %j', (torqueNm, asks) => {
    const doubts = proofDoubts(opened('wheel', 5), proof({ torqueNm, fasteners: 5, onGround: true }), context);
    expect(doubts.map(({ code }) => code)).toEqual(asks);
  });

  test('a torque that fits in the other unit names the slip, either way round; kept, it is not asked again', () => {
    const wheel = opened('wheel', 5);
    const ask = (torqueNm: number, kept: EndProof['kept'] = []) =>
      proofDoubts(wheel, proof({ torqueNm, fasteners: 5, onGround: true, kept }), context);
    expect(ask(88.5)[0]).toMatchObject({ code: 'torque-off', expected: 120, unitSlip: true });
    expect(ask(163)[0]?.unitSlip).toBe(true);
    expect(ask(60)[0]?.unitSlip).toBe(false);
    expect(ask(60, ['torque-off'])).toEqual([]);
  });

  test('more litres than the capacity, missing fasteners, a used washer and an unseen seal are asked about', () => {
    const codes = (end: Parameters<typeof opened>[0], given: Partial<EndProof>, n: number | null = null) =>
      proofDoubts(opened(end, n), proof(given), context).map(({ code }) => code);
    expect(codes('oil-fill', { litres: 4.7, level: 0.9 })).toEqual([]);
    expect(codes('oil-fill', { litres: 4.8, level: 0.9 })).toEqual(['over-capacity']);
    expect(codes('oil-fill', { litres: 1, level: 0.9 })).toEqual(['under-capacity']);
    expect(codes('oil-fill', { litres: 4.4, level: -0.4 })).toEqual(['level-off']);
    expect(codes('oil-fill', { litres: 4.4, level: 1.5 })).toEqual(['level-off']);
    expect(codes('brake-cap', { level: -0.3 })).toEqual(['level-off']);
    expect(codes('coolant-cap', { level: 1 })).toEqual([]);
    expect(codes('tray', { fasteners: 5 }, 6)).toEqual(['fasteners-missing']);
    expect(codes('drain-plug', { washer: 'reused' })).toEqual(['washer-reused']);
    expect(codes('oil-filter', { oldSealSeen: false })).toEqual(['seal-not-seen']);
    const reuse = { spec, house: { ...USUAL_HOUSE_RULES, drainWasher: 'reuse' as const } };
    expect(proofDoubts(opened('drain-plug'), proof({ washer: 'reused' }), reuse)).toEqual([]);
  });

  test('a filling goes in stages and never past the capacity', () => {
    expect(nextFillL(4.5, 0)).toBe(3.3);
    expect(nextFillL(4.5, 4)).toBe(0.3);
    expect(nextFillL(4.5, 4.45)).toBeNull();
    expect(nextFillL(null, 1)).toBeNull();
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 50, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (c, f) => {
          expect((nextFillL(c, f) ?? 0) + f).toBeLessThanOrEqual(Math.max(c, f) + 0.05);
        },
      ),
    );
  });

  test('whatever is done in whatever order, only a closing of its own takes an end away', () => {
    const contents = fc.array(
      fc.oneof(
        fc.record({ at: fc.nat(300), open: fc.constant(true), of: fc.nat(5) }),
        fc.record({ at: fc.nat(300), open: fc.constant(false), of: fc.nat(5) }),
      ),
      { maxLength: 20 },
    );
    fc.assert(
      fc.property(contents, (list) => {
        const acts = list.map(({ at, open, of }, index) =>
          open
            ? act(at, { kind: 'open', end: 'cover', place: '', fasteners: 2 }, `${of}-${index}`)
            : act(at, { kind: 'close', opens: `${of}-0`, proof: NO_PROOF }),
        );
        const closedIds = new Set(acts.flatMap((one) => (one.kind === 'close' ? [one.opens] : [])));
        const expected = acts.filter((one) => one.kind === 'open' && !closedIds.has(one.id)).length;
        expect(openEnds(acts)).toHaveLength(expected);
        expect(openEnds([...acts].reverse())).toHaveLength(expected);
      }),
    );
  });
});

describe('waits', () => {
  const drain = act(0, { kind: 'wait', wait: 'drain', lengthS: 600 });

  test('a wait lives in the record: it counts down by its start, is over once, and is heard', () => {
    expect(remainingS({ startedAt: drain.at, lengthS: 600 }, START + 200_000)).toBe(400);
    expect(remainingS({ startedAt: drain.at, lengthS: 600 }, START + 601_000)).toBe(0);
    const heard = act(11, { kind: 'wait-done', waits: drain.id });
    expect(waitsOf([drain]).map(({ done }) => done)).toEqual([false]);
    expect(waitsOf([heard, drain]).map(({ done }) => done)).toEqual([true]);
  });

  test('no clock makes it negative or longer than it is', () => {
    fc.assert(
      fc.property(fc.integer({ min: -1e12, max: 1e12 }), (jump) => {
        const left = remainingS({ startedAt: drain.at, lengthS: 600 }, START + jump);
        expect(left).toBeGreaterThanOrEqual(0);
        expect(left).toBeLessThanOrEqual(600);
      }),
    );
  });

  test('a device clock set forward or back while it runs changes nothing', () => {
    const anchor = { epochMs: START, steadyMs: 1000 };
    expect(trustedNow(anchor, 1000 + 60_000)).toBe(START + 60_000);
    expect(trustedNow(anchor, 500)).toBe(START);
    expect(trustedNow(anchor, 2000, START + 90_000)).toBe(START + 90_000);
  });
});

describe('the vehicle’s state', () => {
  const change = (minute: number, what: StateChange) => act(minute, { kind: 'state', change: what });
  const at = (minute: number, acts: readonly Act[], state: 'cold' | 'warm' | 'hot' = 'cold') =>
    vehicleState({ state, startedAt: new Date(START).toISOString() }, acts, START + minute * 60_000);

  test.each([
    ['cold', 0, [], ['never-started-today', 'off-cold', 'off-settled'], []],
    [
      'hot',
      1,
      [],
      ['never-started-today', 'off-cold', 'off-settled'],
      ['never-started-today', 'off-cold', 'off-settled'],
    ],
    ['hot', 12, [], ['off-settled', 'off-cold'], ['off-cold']],
    ['hot', 119, [], ['off-cold'], ['off-cold']],
    ['hot', 121, [], ['off-cold', 'off-warm'], ['off-warm']],
    ['warm', 0, [], ['off-settled', 'off-cold', 'off-warm'], ['off-cold']],
    ['warm', 91, [], ['off-cold'], []],
  ] as const)('arrived %s, %s min on, acts %j: of %j lacks %j', (state, minute, acts, needs, lacks) => {
    expect(unmetNeeds(needs, at(minute, acts, state))).toEqual(lacks);
  });

  test('the hours it has stood are believed over the word', () => {
    const stood = (state: 'cold' | 'warm', stoodH: number) =>
      unmetNeeds(['off-cold'], vehicleState({ state, stoodH, startedAt: new Date(START).toISOString() }, [], START));
    expect([stood('cold', 1), stood('cold', 9), stood('warm', 1), stood('warm', 3)]).toEqual([
      ['off-cold'],
      [],
      ['off-cold'],
      [],
    ]);
  });

  test('coolant read under 40 °C lets its cap off at once; the battery rests on, and a start ends it', () => {
    const run = [change(1, 'engine-start'), change(11, 'engine-off')];
    const needs = ['off-cold', 'off-rested'] as const;
    const read = [...run, change(15, 'coolant-cool')];
    expect(unmetNeeds(needs, at(16, run))).toEqual(['off-cold', 'off-rested']);
    expect(unmetNeeds(needs, at(16, read))).toEqual(['off-rested']);
    expect(unmetNeeds(needs, at(132, read))).toEqual([]);
    expect(unmetNeeds(['off-cold'], at(30, [...read, change(20, 'engine-start'), change(25, 'engine-off')]))).toEqual([
      'off-cold',
    ]);
    // Nobody reads it while it runs.
    expect(
      unmetNeeds(['off-cold'], at(13, [run[0] as Act, change(5, 'coolant-cool'), change(11, 'engine-off')])),
    ).toEqual(['off-cold']);
  });

  test('two minutes’ idling neither leaves an engine cold nor warms its oil to drain', () => {
    const idled = (minutes: number) => [change(0, 'engine-start'), change(minutes, 'engine-off')];
    expect(unmetNeeds(['off-cold', 'off-warm'], at(4, idled(3)))).toEqual(['off-cold', 'off-warm']);
    expect(unmetNeeds(['off-warm'], at(11, idled(9)))).toEqual([]);
  });

  test('an arrival tells what can be read as it stands and what must wait, by the state it waits for', () => {
    const points = (['cold.oil', 'cold.coolant', 'oil.level', 'belt.aux', 'tyre.tread'] as const).map((point) => ({
      point,
    }));
    expect(readable(points, at(0, [], 'cold'))).toEqual({ now: 5, later: [] });
    const hot = readable(points, at(0, [], 'hot'));
    expect(hot.now + hot.later.reduce((sum, { points: count }) => sum + count, 0)).toBe(5);
    expect(hot.later.map(({ need }) => need)).toEqual(expect.arrayContaining(['never-started-today', 'off-settled']));
  });

  test('an engine that runs, and one that has just stopped, spoil the stick; ten minutes mend it, two hours the coolant', () => {
    const run = [change(1, 'engine-start'), change(11, 'engine-off')];
    expect(unmetNeeds(['off-settled', 'off-cold'], at(5, run))).toEqual(['off-settled', 'off-cold']);
    expect(unmetNeeds(['running', 'running-hot'], at(5, run))).toEqual(['running-hot']);
    expect(unmetNeeds(['running', 'running-hot'], at(12, run))).toEqual(['running', 'running-hot']);
    expect(unmetNeeds(['running-hot'], at(10, run))).toEqual([]);
    expect(unmetNeeds(['off-settled', 'off-cold'], at(15, run))).toEqual(['off-settled', 'off-cold']);
    expect(unmetNeeds(['off-settled', 'off-cold'], at(22, run))).toEqual(['off-cold']);
    expect(unmetNeeds(['off-settled', 'off-cold'], at(42, run))).toEqual(['off-cold']);
    expect(unmetNeeds(['off-settled', 'off-cold'], at(131, run))).toEqual([]);
  });

  test('what nobody has said is not held against a reading but for a temperature; what was said is', () => {
    expect(unmetNeeds(['running-hot'], at(5, []))).toEqual(['running-hot']);
    const needs = ['running', 'ground', 'wheel-hanging', 'tray-off', 'helper', 'key-on'] as const;
    expect(unmetNeeds(needs, at(5, []))).toEqual([]);
    expect(unmetNeeds(needs, at(5, [change(1, 'lift-up')]))).toEqual(['ground']);
    const tray = act(1, { kind: 'open', end: 'tray', place: '', fasteners: 6 });
    const back = act(2, { kind: 'close', opens: tray.id, proof: proof({ fasteners: 6 }) });
    expect(unmetNeeds(['tray-off'], at(5, [tray]))).toEqual([]);
    expect(unmetNeeds(['tray-off'], at(5, [tray, back]))).toEqual(['tray-off']);
  });
});

test('a figure read out of condition is kept and not judged; a frayed belt is frayed in any', () => {
  const level = { measure: 'level', spot: 'whole', phase: 'found', values: [0.6], bound: 'exact', step: null } as const;
  const graded = (change: Parameters<typeof findingOf>[2]) =>
    gradePoint({ point: 'cold.oil', place: '' }, contextOf(CAR, [findingOf('cold.oil', '', change)]));
  expect(graded({ readings: [level] }).grade).toBe('pass');
  expect(graded({ readings: [level], outOf: ['off-settled'] })).toMatchObject({
    grade: 'not-seen',
    reasons: [{ rule: 'out-of-condition', needs: ['off-settled'] }],
  });
  const belt = findingOf('cold.belts', '', { words: ['frayed'], outOf: ['off-cold'] });
  expect(gradePoint({ point: 'cold.belts', place: '' }, contextOf(CAR, [belt])).grade).toBe('fail');
});

test('the oil service is told by its acts, step after step, and nothing is run over an open drain', () => {
  const next = (acts: readonly Act[], leaksChecked = false) =>
    oilService(acts, inspectionOf(CAR), START, USUAL_HOUSE_RULES, leaksChecked)?.next;
  const end = (minute: number, kind: Extract<ActContent, { kind: 'open' }>['end']) =>
    act(minute, { kind: 'open', end: kind, place: '', fasteners: null });
  const close = (minute: number, one: Act) => act(minute, { kind: 'close', opens: one.id, proof: NO_PROOF });
  const [indicator, cap, plug, fill, filter] = [
    end(0, 'indicator'),
    end(1, 'filler-cap'),
    end(2, 'drain-plug'),
    end(2, 'oil-fill'),
    end(3, 'oil-filter'),
  ];
  expect(oilService([], inspectionOf(CAR), START, USUAL_HOUSE_RULES, false)).toBeNull();
  const story: Act[] = [indicator];
  expect(next(story)).toBe('warm');
  story.push(cap, plug, fill);
  expect(next(story)).toBe('filter-off');
  const warmed = (acts: readonly Act[]) =>
    oilService(acts, inspectionOf(CAR), START, USUAL_HOUSE_RULES, false)?.steps.find(({ step }) => step === 'warm');
  expect(warmed(story)).toEqual({ step: 'warm', done: false, passedOver: true });
  const run = act(-20, { kind: 'state', change: 'engine-start' });
  expect(warmed([run, ...story])).toEqual({ step: 'warm', done: true, passedOver: false });
  expect(startBlockers(story, 5.2)).toEqual(['drain-plug', 'oil-fill']);
  story.push(filter, close(4, filter));
  expect(next(story)).toBe('plug-in');
  story.push(close(12, plug));
  expect(next(story)).toBe('fill');
  expect(startBlockers(story, 5.2)).toEqual(['oil-fill']);
  const poured = (litres: number) => [...story, act(13, { kind: 'fill', opens: fill.id, litres })];
  expect([0.1, 4.1, 4.2].map((litres) => startBlockers(poured(litres), 5.2))).toEqual([['oil-fill'], ['oil-fill'], []]);
  expect([startBlockers(poured(0.1), null), startBlockers(story, null)]).toEqual([[], ['oil-fill']]);
  story.push(act(13, { kind: 'fill', opens: fill.id, litres: 4 }));
  expect(startBlockers(story, 4.5)).toEqual([]);
  story.push(close(14, cap));
  expect(next(story)).toBe('run');
  story.push(act(15, { kind: 'state', change: 'engine-start' }));
  expect(next(story)).toBe('leak-check');
  expect(next(story, true)).toBe('settle');
  story.push(act(17, { kind: 'state', change: 'engine-off' }));
  expect(next(story, true)).toBe('stick');
  story.push(close(30, fill));
  expect(next(story, true)).toBe('reset');
  story.push(close(31, indicator));
  expect(next(story, true)).toBeNull();
  expect(openEnds(story)).toEqual([]);
  expect(inspectionOf(CAR).signedOver).toBeNull();
});

describe('what a step of the walk asks to be done first', () => {
  const arrival = { state: 'cold', startedAt: new Date(START).toISOString() } as const;
  const asked = (point: PointRef['point'], place: Place, acts: readonly Act[] = [], codes: FaultCode[] = []) =>
    stepActs(
      [{ point, place }],
      vehicleState(arrival, acts, Infinity),
      openEnds(acts),
      new Map([['cabin.codes', { codes }]]),
    );

  test('what is opened to read it, until it lies open', () => {
    const cap = [{ kind: 'open', end: 'coolant-cap', place: '' }];
    expect(asked('coolant.strength', '')).toEqual(cap);
    expect(
      asked('coolant.strength', '', [act(1, { kind: 'open', end: 'coolant-cap', place: '', fasteners: null })]),
    ).toEqual([]);
    expect(asked('brake.fluid.water', '')).toEqual([{ kind: 'open', end: 'brake-cap', place: '' }]);
    expect(asked('shoe', '2L')).toEqual([{ kind: 'open', end: 'wheel', place: '2L' }]);
    const wheel = act(1, { kind: 'open', end: 'wheel', place: '2L', fasteners: 5 });
    expect(asked('shoe', '2L', [wheel])).toEqual([]);
    expect(asked('shoe', '2R', [wheel])).toEqual([{ kind: 'open', end: 'wheel', place: '2R' }]);
    // Cleared only once they are written down.
    const cleared = { kind: 'open', end: 'codes-cleared', place: '' };
    const read = [{ code: 'P0101', text: '', state: 'stored' as const }];
    expect(asked('cabin.codes', '')).not.toContainEqual(cleared);
    expect(asked('cabin.codes', '', [], read)).toContainEqual(cleared);
    expect(asked('close.codes', '', [], read)).not.toContainEqual(cleared);
  });

  test('the state it needs, until that was said', () => {
    const change = (what: StateChange) => act(1, { kind: 'state', change: what });
    const stands = { kind: 'state', change: 'stands-checked' };
    expect(asked('wheel.rock', '1L')).toEqual([stands, { kind: 'state', change: 'lift-up' }]);
    expect(asked('wheel.rock', '1L', [change('lift-up')])).toEqual([stands]);
    // Confirmed once; asked again when it was lifted anew.
    const checked = [change('lift-up'), { ...change('stands-checked'), at: new Date(START + 120_000).toISOString() }];
    expect(asked('wheel.rock', '1L', checked)).toEqual([]);
    expect(asked('leak.engine', '', checked)).not.toContainEqual(stands);
    const again = { ...change('lift-up'), at: new Date(START + 180_000).toISOString() };
    expect(asked('exhaust', '', [...checked, again])).toEqual([stands]);
    expect(asked('walk.lamps', '')).toEqual([
      { kind: 'state', change: 'key-on' },
      { kind: 'state', change: 'helper-here' },
    ]);
    expect(asked('walk.lamps', '', [change('key-on'), change('helper-here')])).toEqual([]);
    expect(asked('cabin.idle', '')).toEqual([{ kind: 'state', change: 'engine-start' }]);
    expect(asked('cabin.idle', '', [change('engine-start')])).toEqual([]);
    expect(asked('tyre.tread', '1L')).toEqual([]);
  });
});
