import { judgeValue } from '../grading/judgeValue';
import { worstGrade } from '../grading/grade';
import { CLOSE_CALL_FACTOR, standardUncertainty } from '../sums/uncertainty';
import type { Threshold } from './limitSheet';

describe('judging one value', () => {
  const edge = (change: Partial<Threshold>): Threshold => ({
    grade: 'fail',
    bad: 'below',
    value: 2,
    inclusive: false,
    basis: 'house',
    source: 's',
    ...change,
  });

  test.each([
    ['under a minimum', 1.9, edge({}), 'fail'],
    ['at a minimum', 2, edge({}), 'pass'],
    ['at an inclusive minimum', 2, edge({ inclusive: true }), 'fail'],
    ['over a maximum', 2.1, edge({ bad: 'above' }), 'fail'],
    ['at a maximum', 2, edge({ bad: 'above' }), 'pass'],
    ['at an inclusive maximum', 2, edge({ bad: 'above', inclusive: true }), 'fail'],
    ['at a minimum but for binary noise', 0.1 + 0.2 + 1.7 - 1e-12, edge({}), 'pass'],
  ])('%s', (_, value, threshold, grade) => {
    expect(judgeValue(value, [threshold], 0, false)?.grade).toBe(grade);
  });

  test('without an edge there is nothing to judge by', () => {
    expect(judgeValue(1, [], 0.1, true)).toBeUndefined();
  });

  test('a close call is nearer than 1.645 u, on either side', () => {
    const u = 0.1;
    const close = (value: number) => judgeValue(value, [edge({})], u, false)?.closeCall;
    expect([2 - CLOSE_CALL_FACTOR * u - 0.001, 1.9, 2.1, 2 + CLOSE_CALL_FACTOR * u + 0.001].map(close)).toEqual([
      false,
      true,
      true,
      false,
    ]);
  });

  test('guarded, near a lone fail limit is advised, not failed', () => {
    expect(judgeValue(2.05, [edge({})], 0.1, true)?.grade).toBe('advisory');
    expect(judgeValue(1.95, [edge({})], 0.1, true)?.grade).toBe('fail');
  });
});

test('repeats shrink the scatter but not the gauge’s step', () => {
  const gauge = { step: 0.5, repeatability: 0.2 };
  expect(standardUncertainty(gauge, 1)).toBeCloseTo(Math.sqrt(0.25 / 12 + 0.04), 10);
  expect(standardUncertainty(gauge, 1e9)).toBeCloseTo(0.5 / Math.sqrt(12), 4);
  expect(() => standardUncertainty(gauge, 0)).toThrow(RangeError);
});

test('the worst of none is not seen', () => {
  expect(worstGrade([])).toBe('not-seen');
  expect(worstGrade(['pass', 'not-seen'])).toBe('not-seen');
  expect(worstGrade(['advisory', 'not-seen', 'fail'])).toBe('fail');
});
