import fc from 'fast-check';
import { chanceBy, expectedParts } from './expectedParts';

const at = '2026-01-01T00:00:00.000Z';
const edges = ['2026-02-01T00:00:00.000Z', '2026-03-01T00:00:00.000Z', '2028-01-01T00:00:00.000Z'];

test('the chance runs through the ends that were told and never falls', () => {
  const range = { low: 20, mid: 60, high: 120 };
  expect([20, 60, 120, 500].map((days) => chanceBy(range, days))).toEqual([0.1, 0.5, 0.9, 1]);
  expect(chanceBy({ low: 0, mid: 0, high: 30 }, 0)).toBe(0.5);
  expect(chanceBy({ low: 100, mid: null, high: null }, 5000)).toBe(0.1);
  fc.assert(
    fc.property(fc.array(fc.nat(900), { minLength: 3, maxLength: 3 }), fc.nat(2000), fc.nat(2000), (ends, a, b) => {
      const [low, mid, high] = ends.sort((x, y) => x - y) as [number, number, number];
      const [first, second] = [Math.min(a, b), Math.max(a, b)];
      expect(chanceBy({ low, mid, high }, first)).toBeLessThanOrEqual(chanceBy({ low, mid, high }, second) + 1e-12);
    }),
  );
});

test('each part is expected once over all stretches, with a spread that a sure one has not', () => {
  const sure = { name: 'pads', at, days: { low: 0, mid: 0, high: 0 } };
  const some = { name: 'tyre', at, days: { low: 10, mid: 40, high: 90 } };
  const [pads, tyres] = expectedParts([some, sure, some], edges);
  expect(pads?.counts[0]).toEqual({ mean: 1, sigma: 0 });
  expect(tyres?.counts.reduce((sum, { mean }) => sum + mean, 0)).toBeCloseTo(2, 9);
  expect(tyres?.counts[0]?.sigma).toBeGreaterThan(0.5);
  expect(expectedParts([], edges)).toEqual([]);
});
