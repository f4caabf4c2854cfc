import { gradePoint } from '../grading/gradePoint';
import { CAR, contextOf, findingOf, readingOf, rulesWith } from '../tests/builders';
import { offeredRepeatability } from './repeatability';

test.each([
  ['few repeats are the usual gauge nearly', 12, 0.3, 0.233],
  ['many repeats are the house’s own', 1000, 0.3, 0.3],
  ['a steadier hand than usual', 200, 0.05, 0.046],
  ['no more than the gauge’s step lets one see', 200, 0.02, 0.022],
])('%s', (_, pairs, sigma, expected) => {
  // A tread gauge repeats within 0.1 mm as built in.
  expect(offeredRepeatability({ measure: 'tread', pairs, sigma }, 0.1)).toBeCloseTo(expected, 2);
});

test.each([
  ['too few', 9, 0.3, 0.1],
  ['as graded already', 1000, 0.105, 0.1],
  ['nothing told', 20, NaN, 0.1],
])('nothing is offered: %s', (_, pairs, sigma, gradedBy) => {
  expect(offeredRepeatability({ measure: 'tread', pairs, sigma }, gradedBy)).toBeNull();
});

test('a named scale has no repeatability to grade by', () => {
  expect(offeredRepeatability({ measure: 'play', pairs: 50, sigma: 0.5 }, 1)).toBeNull();
});

test('a house whose readings repeat worse has close calls farther from the limit', () => {
  const ref = { point: 'pad.inner', place: '1L' } as const;
  const close = (repeatability: object) =>
    gradePoint(
      ref,
      contextOf(CAR, [findingOf('pad.inner', '1L', { readings: [readingOf('lining', 4.2)] })], {
        rules: rulesWith({ repeatability }),
      }),
    ).closeCall;
  expect(close({})).toBe(false);
  expect(close({ lining: 0.6 })).toBe(true);
});
