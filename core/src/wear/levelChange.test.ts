import { normalDraw, seededRandom } from '../simulator/random';
import { findLevelChange, type UsePoint } from './levelChange';

const YEAR = 365.25;
/** Fills every three weeks: a winter that costs `swing`, hands that scatter, and a step at `at`. */
function log(seed: number, { fills = 24, swing = 0.04, scatter = 0.04, at = Infinity, step = 0 } = {}): UsePoint[] {
  const random = seededRandom(seed);
  return Array.from({ length: fills }, (_, n) => {
    const day = 18_000 + n * 21;
    const season = swing * Math.cos((2 * Math.PI * (day - 15)) / YEAR);
    return { day, log: Math.log(9) + season + scatter * normalDraw(random) + (n >= at ? step : 0) };
  });
}
const seeds = Array.from({ length: 40 }, (_, seed) => seed + 1);

describe('a use that changed for good', () => {
  test('is found, with when it began, by how much, and surely', () => {
    const found = findLevelChange(log(3, { at: 14, step: Math.log(1.15) }), true);
    expect(found?.factor).toBeGreaterThan(1.08);
    expect(found?.factor).toBeLessThan(1.22);
    expect(Math.abs((found?.sinceDay ?? 0) - (18_000 + 13.5 * 21))).toBeLessThan(45);
    expect(found?.sureness).toBeGreaterThan(0.9);
  });

  test('one of a sixth is told in most logs, a winter or nothing at all in hardly any', () => {
    const told = (change: object) =>
      seeds.filter((seed) => (findLevelChange(log(seed, change), true)?.sureness ?? 0) >= 0.9).length;
    expect(told({ at: 14, step: Math.log(1.16) })).toBeGreaterThan(32);
    expect(told({})).toBeLessThanOrEqual(2);
    expect(told({ swing: 0.07, fills: 34 })).toBeLessThanOrEqual(3);
  });

  test('less is as good a change as more', () => {
    expect(findLevelChange(log(5, { at: 12, step: -0.2 }), true)?.factor).toBeLessThan(0.9);
  });

  test('what has no season is not given one', () => {
    const flat = log(2, { swing: 0, at: 10, step: 0.5, scatter: 0.2 });
    expect(findLevelChange(flat, false)?.factor).toBeGreaterThan(1.1);
  });

  test('too few say nothing; the order they come in does not matter', () => {
    expect(findLevelChange(log(1, { fills: 5 }), true)).toBeNull();
    const points = log(3, { at: 14, step: 0.15 });
    expect(findLevelChange([...points].reverse(), true)).toEqual(findLevelChange(points, true));
  });
});
