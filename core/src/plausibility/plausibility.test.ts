import { MEASURES, MEASURE_CODES } from '../catalogue/measures';
import { CATALOGUE } from '../catalogue/catalogue';
import { CAR, findingOf, leakOf, readingOf, treadOf } from '../tests/builders';
import { USUAL_HOUSE_RULES } from '../house/houseRules';
import { impossibleIn } from './checkFinding';
import { doubtId, doubtsAbout as doubtsOf } from './doubts';
import { pressureUnitOf } from './pressureUnit';
import { toStored } from '../units/units';
import { checkMeter } from './checkMeter';

const DAY = '2026-06-01T08:00:00Z';
const doubtsAbout = (now: Parameters<typeof doubtsOf>[0], last: Parameters<typeof doubtsOf>[1]) =>
  doubtsOf(now, last, undefined, DAY, USUAL_HOUSE_RULES);

describe('what cannot be is refused with its field and range', () => {
  test.each([
    ['unknown point', { ...findingOf('belt.aux', ''), point: 'belt.nowhere' }, 'point', 'unknown-point'],
    [
      'tread of 40 mm',
      findingOf('tyre.tread', '1L', { readings: treadOf(40, 5, 5) }),
      'readings.0.values.0',
      'out-of-range',
    ],
    [
      'not a number',
      findingOf('cold.oil', '', { readings: [readingOf('level', Number.NaN)] }),
      'readings.0.values.0',
      'out-of-range',
    ],
    [
      'a lining on a tyre',
      findingOf('tyre.pressure', '1L', { readings: [readingOf('lining', 5)] }),
      'readings.0.measure',
      'wrong-measure',
    ],
    [
      'a spot it has not',
      findingOf('pad.outer', '1L', { readings: [readingOf('lining', 5, 'inner')] }),
      'readings.0.spot',
      'wrong-spot',
    ],
    [
      'one spot twice',
      findingOf('pad.outer', '1L', { readings: [readingOf('lining', 5), readingOf('lining', 6)] }),
      'readings.1.spot',
      'repeated-spot',
    ],
    ['a word of another part', findingOf('belt.aux', '', { words: ['cord-visible'] }), 'words.0', 'wrong-word'],
    ['a wheel point without a wheel', findingOf('tyre.pressure', ''), 'place', 'place-needed'],
    ['a wheel where there is none', findingOf('belt.aux', '1L'), 'place', 'no-place'],
    ['not reached without why', findingOf('belt.aux', '', { access: 'not-reached' }), 'accessReason', 'reason-needed'],
    ['a leak on a belt', findingOf('belt.aux', '', { leaks: [leakOf({ stage: 'damp' })] }), 'leaks.0', 'leak-here'],
  ])('%s', (_, finding, field, code) => {
    const problems = impossibleIn(finding);
    expect(problems).toEqual([expect.objectContaining({ field, code })]);
    expect(problems[0]?.allowed).not.toBe('');
  });

  test('a sound finding has no problem', () => {
    expect(impossibleIn(findingOf('tyre.tread', '1L', { readings: treadOf(5, 5, 5), words: ['cupping'] }))).toEqual([]);
  });
});

describe('what is odd is asked once', () => {
  const last = findingOf('pad.inner', '1L', { readings: [readingOf('lining', 4)] });
  const now = (value: number, kept: string[] = []) =>
    findingOf('pad.inner', '1L', { readings: [readingOf('lining', value)], kept });

  test.each([
    ['thinner, as wear goes', 3.5, []],
    ['a gauge step better', 4.5, []],
    ['clearly better', 8, ['better-than-last']],
    ['ten times thinner', 0.4, ['decimal-slip']],
  ])('%s', (_, value, codes) => {
    expect(doubtsAbout(now(value), last).map(({ code }) => code)).toEqual(codes);
  });

  test.each([
    ['more water, as time goes', 2.5, []],
    ['a step less', 1.5, []],
    ['far less, and nobody wrote down new fluid', 0.5, ['drier-than-last']],
  ])('brake fluid: %s', (_, value, codes) => {
    const water = (share: number) => findingOf('brake.fluid.water', '', { readings: [readingOf('water', share)] });
    expect(doubtsAbout(water(value), water(2)).map(({ code }) => code)).toEqual(codes);
    expect(doubtsAbout(water(value), undefined)).toEqual([]);
  });

  test('a kept doubt is not asked again; without a last visit nothing is odd', () => {
    expect(doubtsAbout(now(8, [doubtId({ code: 'better-than-last', spot: 'whole' })]), last)).toEqual([]);
    expect(doubtsAbout(now(8), undefined)).toEqual([]);
  });

  test.each([
    ['kPa', 32, 'psi', 220.6],
    ['kPa', 2.3, 'bar', 230],
    ['psi', 2.2, 'bar', 220],
    ['bar', 0.5, null, null],
    ['psi', 8, 'bar', 800],
    ['psi', 32, null, null],
    ['bar', 2.2, null, null],
  ] as const)('in a house that reads %s a gauge at %d looks like %s', (unit, figure, looksLike, kpa) => {
    const house = { ...USUAL_HOUSE_RULES, units: { ...USUAL_HOUSE_RULES.units, pressure: unit } };
    const readings = [readingOf('pressure', toStored(figure, unit))];
    const [doubt] = doubtsOf(findingOf('tyre.pressure', '1L', { readings }), undefined, undefined, DAY, house);
    if (looksLike === null) return expect(doubt?.code).not.toBe('unit-slip');
    expect(doubt).toMatchObject({ code: 'unit-slip', looksLike });
    expect(doubt?.inThat).toBeCloseTo(kpa, 1);
  });

  test('what cannot be in the house’s unit at all is known in another', () => {
    expect([pressureUnitOf(32, 'bar'), pressureUnitOf(230, 'bar'), pressureUnitOf(230, 'psi')]).toEqual([
      'psi',
      'kPa',
      'kPa',
    ]);
    expect([pressureUnitOf(5000, 'bar'), pressureUnitOf(2.3, 'bar')]).toEqual([null, null]);
  });
});

/** The first point, and the place on it, that takes a measure. */
function takes(measure: (typeof MEASURE_CODES)[number]) {
  const point = CATALOGUE.find(({ measures }) => measures.some((slot) => slot.measure === measure));
  const slot = point?.measures.find((one) => one.measure === measure);
  if (!point || !slot) throw new Error(`no point takes ${measure}`);
  const place = ({ tyre: '1L', hub: '1L', axle: '1', none: '' } as const)[point.repeats ?? 'none'];
  return (value: number) => findingOf(point.code, place, { readings: [readingOf(measure, value, slot.spots[0])] });
}

describe.each(MEASURE_CODES)('%s', (measure) => {
  const { least, most, likely, taken } = MEASURES[measure];
  const finding = takes(measure);
  const off = typeof taken === 'string' ? 0.001 : 1;

  test('its ends are possible, beyond them is refused with the range', () => {
    for (const value of [least, most]) expect(impossibleIn(finding(value))).toEqual([]);
    for (const value of [least - off, most + off]) {
      expect(impossibleIn(finding(value))).toEqual([
        expect.objectContaining({ field: 'readings.0.values.0', code: 'out-of-range' }),
      ]);
      expect(impossibleIn(finding(value))[0]?.allowed).toContain(`${least} to ${most}`);
    }
  });

  test('the ends of what is likely are not asked about, beyond them is, and once kept no more', () => {
    if (!likely) return expect(doubtsAbout(finding((least + most) / 2), undefined)).toEqual([]);
    const [low, high] = likely;
    for (const value of [low, high]) expect(doubtsAbout(finding(value), undefined)).toEqual([]);
    const odd = [...(low > least ? [low - 0.001] : []), ...(high < most ? [high + 0.001] : [])];
    expect(odd.length).toBeGreaterThan(0);
    for (const value of odd) {
      const [doubt] = doubtsAbout(finding(value), undefined);
      expect(doubt).toMatchObject({ measure, value });
      if (doubt) expect(doubtsAbout({ ...finding(value), kept: [doubtId(doubt)] }, undefined)).toEqual([]);
    }
  });
});

test('a named step that is between two steps is refused', () => {
  expect(impossibleIn(takes('play')(0.5))[0]).toMatchObject({ code: 'out-of-range' });
});

describe('what a point does not take', () => {
  test.each([
    [
      'a lamp on a wheel',
      findingOf('wheel.bolts', '1L', { counts: [{ item: 'dip', good: 1, of: 2, found: null, out: [] }] }),
      'counts.0',
      'count-here',
    ],
    [
      'more good than there are',
      findingOf('wheel.bolts', '1L', { counts: [{ item: 'all', good: 6, of: 5, found: null, out: [] }] }),
      'counts.0.good',
      'more-than-all',
    ],
    [
      'more lamps named than are out',
      findingOf('walk.lamps', '', {
        counts: [{ item: 'dip', good: 1, of: 2, found: null, out: ['front-left', 'front-right'] }],
      }),
      'counts.0.out',
      'lamp-here',
    ],
    [
      'a lamp where there is none of its kind',
      findingOf('walk.lamps', '', { counts: [{ item: 'dip', good: 1, of: 2, found: null, out: ['rear-left'] }] }),
      'counts.0.out',
      'lamp-here',
    ],
    [
      'a fault code at the horn',
      findingOf('cabin.horn', '', { codes: [{ code: 'P1', text: '', state: 'stored' }] }),
      'codes',
      'codes-here',
    ],
    [
      'a leak at a place it has not',
      findingOf('damper', '1L', { leaks: [leakOf({ stage: 'damp', place: 'tank' })] }),
      'leaks.0.place',
      'leak-here',
    ],
    [
      'an override without why',
      findingOf('belt.aux', '', { override: { grade: 'pass', reason: ' ' } }),
      'override.reason',
      'reason-needed',
    ],
    ['an axle point on a wheel', findingOf('tyre.match', '1L'), 'place', 'place-needed'],
  ] as const)('%s', (_, finding, field, code) => {
    expect(impossibleIn(finding)).toEqual([expect.objectContaining({ field, code })]);
  });

  test('a damper takes a leak at its rod, lamps are counted each', () => {
    expect(
      impossibleIn(findingOf('damper', '1L', { leaks: [leakOf({ stage: 'damp', place: 'damper-rod' })] })),
    ).toEqual([]);
    expect(
      impossibleIn(findingOf('walk.lamps', '', { counts: [{ item: 'dip', good: 1, of: 2, found: null, out: [] }] })),
    ).toEqual([]);
  });
});

describe('odd against its partner and its date', () => {
  const pad = (point: 'pad.inner' | 'pad.outer', mm: number) =>
    findingOf(point, '1L', { readings: [readingOf('lining', mm)] });
  test.each([
    [2, 9, ['far-from-partner']],
    [5, 9, []],
    [0.5, 2, []],
  ])('inner %d mm beside outer %d mm', (inner, outer, codes) => {
    expect(
      doubtsOf(pad('pad.inner', inner), undefined, pad('pad.outer', outer), DAY, USUAL_HOUSE_RULES).map(
        ({ code }) => code,
      ),
    ).toEqual(codes);
  });

  test.each<[number, number, number, string[]]>([
    [3, 3, 9, ['far-from-next:inner']],
    [9, 3, 3, ['far-from-next:outer']],
    [3, 6, 9, []],
    [7, 7, 3, []],
    [2, 2, 5, []],
  ])('tread %d, %d, %d: one place far deeper than the others is asked about', (outer, centre, inner, asked) => {
    const tread = findingOf('tyre.tread', '1L', { readings: treadOf(outer, centre, inner) });
    const doubts = doubtsOf(tread, undefined, undefined, DAY, USUAL_HOUSE_RULES);
    expect(doubts.map(({ code, spot }) => `${code}:${spot}`)).toEqual(asked);
    expect(doubtsOf({ ...tread, kept: asked }, undefined, undefined, DAY, USUAL_HOUSE_RULES)).toEqual([]);
  });

  test('a tyre made next week is asked about, one made last week is not', () => {
    const made = (week: number) => findingOf('tyre.age', '1L', { readings: [readingOf('tyre-age', week)] });
    expect(doubtsAbout(made(202640), undefined).map(({ code }) => code)).toEqual(['not-made-yet']);
    expect(doubtsAbout(made(202620), undefined)).toEqual([]);
  });

  test('a bound is never better than a number', () => {
    const readings = [{ ...readingOf('tread', 1.6, 'outer'), bound: 'over' as const }];
    const last = findingOf('tyre.tread', '1L', { readings: treadOf(1.2, 1.2, 1.2) });
    expect(doubtsAbout(findingOf('tyre.tread', '1L', { readings }), last)).toEqual([]);
  });
});

test('an hour meter has its own range and its own day', () => {
  const last = { meter: 100, at: '2026-06-01T08:00:00Z' };
  expect(checkMeter(123, last, '2026-06-02T08:00:00Z', 'h').status).toBe('good');
  expect(checkMeter(125, last, '2026-06-02T08:00:00Z', 'h')).toMatchObject({ status: 'doubtful', code: 'too-far' });
  expect(checkMeter(200_001, last, '2026-06-02T08:00:00Z', 'h').status).toBe('impossible');
});

describe('the odometer', () => {
  const last = { meter: 50_000, at: '2026-06-01T08:00:00Z' };
  test.each([
    [50_900, '2026-06-11T08:00:00Z', { status: 'good', since: 900, sinceDays: 10 }],
    [49_000, '2026-06-11T08:00:00Z', { status: 'doubtful', code: 'behind', last: 50_000 }],
    [60_000, '2026-06-03T08:00:00Z', { status: 'doubtful', code: 'too-far' }],
    [51_000, '2026-06-01T18:00:00Z', { status: 'good' }],
    [-1, '2026-06-11T08:00:00Z', { status: 'impossible', least: 0 }],
    [Number.NaN, '2026-06-11T08:00:00Z', { status: 'impossible' }],
  ])('%d km on %s', (km, at, expected) => {
    expect(checkMeter(km, last, at)).toMatchObject(expected);
  });

  test('a first visit has nothing to be behind', () => {
    expect(checkMeter(CAR.year, null, last.at)).toEqual({ status: 'good', since: null, sinceDays: null });
  });
});
