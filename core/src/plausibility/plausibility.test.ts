import { CAR, findingOf, readingOf, treadOf } from '../tests/builders';
import { doubtId, doubtsAbout, impossibleIn } from './checkFinding';
import { checkMeter } from './checkMeter';

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
    [
      'a leak on a belt',
      findingOf('belt.aux', '', {
        leak: { stage: 'damp', fluid: 'fuel', place: null, reaches: 'nothing', wiped: false },
      }),
      'leak',
      'leak-here',
    ],
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

  test('a kept doubt is not asked again; without a last visit nothing is odd', () => {
    expect(doubtsAbout(now(8, [doubtId({ code: 'better-than-last', spot: 'whole' })]), last)).toEqual([]);
    expect(doubtsAbout(now(8), undefined)).toEqual([]);
  });

  test.each([
    [32, 'psi'],
    [2.3, 'bar'],
  ])('a pressure of %d looks like %s', (value, looksLike) => {
    expect(
      doubtsAbout(findingOf('tyre.pressure', '1L', { readings: [readingOf('pressure', value)] }), undefined)[0],
    ).toMatchObject({ code: 'unit-slip', looksLike });
  });
});

describe('the odometer', () => {
  const last = { km: 50_000, at: '2026-06-01T08:00:00Z' };
  test.each([
    [50_900, '2026-06-11T08:00:00Z', { status: 'good', sinceKm: 900, sinceDays: 10 }],
    [49_000, '2026-06-11T08:00:00Z', { status: 'doubtful', code: 'behind', lastKm: 50_000 }],
    [60_000, '2026-06-03T08:00:00Z', { status: 'doubtful', code: 'too-far' }],
    [51_000, '2026-06-01T18:00:00Z', { status: 'good' }],
    [-1, '2026-06-11T08:00:00Z', { status: 'impossible', least: 0 }],
    [Number.NaN, '2026-06-11T08:00:00Z', { status: 'impossible' }],
  ])('%d km on %s', (km, at, expected) => {
    expect(checkMeter(km, last, at)).toMatchObject(expected);
  });

  test('a first visit has nothing to be behind', () => {
    expect(checkMeter(CAR.year, null, last.at)).toEqual({ status: 'good', sinceKm: null, sinceDays: null });
  });
});
