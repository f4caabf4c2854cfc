import fc from 'fast-check';
import type { PointCode } from '../catalogue/catalogue';
import type { Finding } from '../inspection/finding';
import { CAR, contextOf, findingOf, readingOf } from '../tests/builders';
import { answeredBy, quantityRows } from './quantityRows';
import { gradedPoints, verdictOf } from './verdict';

const OIL: readonly PointCode[] = ['cold.oil', 'oil.level', 'close.level'];
const level = (point: PointCode, value: number) => findingOf(point, '', { readings: [readingOf('level', value)] });
const oilRows = (...findings: readonly Finding[]) =>
  quantityRows(gradedPoints(contextOf(CAR, findings)))
    .filter(({ point }) => OIL.includes(point))
    .map(({ point, result, foundAt }) => [point, result.grade, result.corrected, foundAt?.point ?? null]);

describe('one oil level is one row', () => {
  test.each<[string, readonly Finding[], ReturnType<typeof oilRows>]>([
    [
      'nobody looked: every moment is open',
      [],
      [
        ['cold.oil', 'not-seen', false, null],
        ['oil.level', 'not-seen', false, null],
        ['close.level', 'not-seen', false, null],
      ],
    ],
    [
      'the gate answers for the bonnet; after settling it is still asked for',
      [level('cold.oil', 0.6)],
      [
        ['cold.oil', 'pass', false, null],
        ['close.level', 'not-seen', false, null],
      ],
    ],
    [
      'arrived warm, the bonnet answers for the gate',
      [level('oil.level', 0.6)],
      [
        ['oil.level', 'pass', false, null],
        ['close.level', 'not-seen', false, null],
      ],
    ],
    [
      'found low and filled: as left it passes, corrected',
      [level('cold.oil', -0.1), level('close.level', 0.9)],
      [['close.level', 'pass', true, 'cold.oil']],
    ],
    [
      'found right and lost: as left it fails',
      [level('cold.oil', 0.6), level('close.level', -0.2)],
      [['close.level', 'fail', false, 'cold.oil']],
    ],
    [
      'three times low is one fail',
      [level('cold.oil', -0.1), level('oil.level', -0.1), level('close.level', -0.1)],
      [['close.level', 'fail', false, 'cold.oil']],
    ],
  ])('%s', (_, findings, rows) => expect(oilRows(...findings)).toEqual(rows));

  test('the verdict counts it once, and holds it against the vehicle as it was left', () => {
    const low = verdictOf(
      contextOf(
        CAR,
        OIL.map((point) => level(point, -0.1)),
      ),
    );
    expect(low.counts.fail).toBe(1);
    const filled = verdictOf(contextOf(CAR, [level('cold.oil', -0.1), level('close.level', 0.9)]));
    expect(filled).toMatchObject({ grade: 'pass', counts: { fail: 0 } });
  });
});

test('a moment nobody looked at is answered by a true look at another, but not at closing up', () => {
  const answer = (point: PointCode, ...findings: readonly Finding[]) =>
    answeredBy({ point, place: '' }, contextOf(CAR, findings).standing)?.point ?? null;
  expect(answer('oil.level', level('cold.oil', 0.6))).toBe('cold.oil');
  expect(answer('cold.oil', level('oil.level', 0.6))).toBe('oil.level');
  expect(answer('close.level', level('cold.oil', 0.6))).toBeNull();
  expect(answer('oil.level', level('cold.oil', 0.6), level('oil.level', 0.5))).toBeNull();
  expect(answer('oil.level', { ...level('cold.oil', 0.6), outOf: ['off-cold'] })).toBeNull();
  expect(answer('belt.aux', findingOf('cold.belts', ''))).toBeNull();
});

test('points that share nothing are rows as they are, in their order; nothing seen is lost (1,000 drawn)', () => {
  const points = gradedPoints(contextOf(CAR, []));
  fc.assert(
    fc.property(fc.subarray(points.map(({ point, place }) => ({ point, place }))), (looked) => {
      const findings = looked.map(({ point, place }) => findingOf(point, place, { words: [] }));
      const graded = gradedPoints(contextOf(CAR, findings));
      const rows = quantityRows(graded);
      const order = rows.map(({ key }) => graded.findIndex((one) => one.key === key));
      expect(order).toEqual([...order].sort((a, b) => a - b));
      const told = new Set(rows.flatMap(({ key, foundAt }) => [key, foundAt?.key ?? key]));
      const shared = ['oil.level', 'coolant.level', 'brake.fluid.level', 'cabin.codes', 'cabin.indicator', ...OIL];
      const others = ['cold.coolant', 'cold.brakefluid', 'close.codes', 'close.indicator'];
      for (const { key } of graded) if (![...shared, ...others].includes(key)) expect(told.has(key)).toBe(true);
      // A quantity that any moment has seen is seen.
      for (const { key, result } of graded) if (result.grade === 'fail') expect(told.has(key)).toBe(true);
    }),
    { numRuns: 1000 },
  );
});
