import fc from 'fast-check';
import { normalDraw, seededRandom } from '../simulator/random';
import { STRAIGHT, bent, bentCurve, straightened, stretchAt } from './depthCurve';
import type { PartHistory } from './fleetRates';
import { learnCurve } from './learnCurve';
import { crossingAt, crossingCurve } from './crossing';
import { believe } from './wearBelief';

const curves = fc.record({
  power: fc.double({ min: -0.8, max: 0.85, noNaN: true }),
  middle: fc.double({ min: 1, max: 9, noNaN: true }),
});

test('bends back what it straightened, rises with it, and is itself at the middle', () => {
  fc.assert(
    fc.property(curves, fc.double({ min: 0, max: 30, noNaN: true }), (curve, y) => {
      expect(bent(curve, straightened(curve, y))).toBeCloseTo(y, 6);
      expect(straightened(curve, y + 0.01)).toBeGreaterThan(straightened(curve, y));
      const slope = (straightened(curve, y + 1e-5) - straightened(curve, y)) / 1e-5;
      expect(Math.abs(slope / stretchAt(curve, y) - 1)).toBeLessThan(0.01);
      expect(straightened(curve, curve.middle)).toBeCloseTo(curve.middle, 9);
    }),
  );
  expect(straightened(STRAIGHT, 3.3)).toBe(3.3);
});

test('looked up in its table it is the same, inside and beyond its ends', () => {
  const straight = fc.double({ min: -20, max: 60, noNaN: true });
  fc.assert(
    fc.property(fc.oneof(curves, fc.constant(STRAIGHT)), straight, (curve, at) => {
      const table = bentCurve(curve);
      table.at(at);
      expect(table.value).toBeCloseTo(bent(curve, at), 3);
      expect(Math.abs(table.stretch / stretchAt(curve, bent(curve, at)) - 1)).toBeLessThan(0.01);
      expect(bentCurve(curve)).toBe(table);
    }),
  );
});

/** Parts whose wear goes with depth to a power, read by a gauge that is off by as much each time. */
function worn(power: number, noise: number, off: number, seed: number): (PartHistory & { readonly end: number })[] {
  const random = seededRandom(seed);
  return Array.from({ length: 90 }, (_, n) => {
    const rate = 0.2 * Math.exp(0.25 * normalDraw(random));
    const readings: PartHistory['readings'][number][] = [];
    let [level, x] = [8 + 0.2 * normalDraw(random), 0];
    for (let next = 4 * random(); level > 1.6;) {
      level -= 0.05 * rate * (level / 4) ** power;
      x += 0.05;
      if (x < next) continue;
      next += 4 + 4 * random();
      readings.push({ x, y: level + off + noise * normalDraw(random), u: noise, bound: 'exact' });
    }
    const name = { id: `${n}`, vehicle: `v${n % 20}`, kind: 'tread', axle: 'tread 1', cell: 'tread 1 car' };
    return { ...name, fitted: { x: 0, fresh: 8, sigma: 0.3 }, readings, end: x };
  });
}

test.each([0, 0.6, -0.4])(
  'a fleet that wears by the power %s of depth is learned as such, whatever its gauge',
  (power) => {
    for (const [noise, off] of [
      [0.15, 0],
      [0.4, 0.3],
    ] as const) {
      const told = learnCurve(worn(power, noise, off, 7)).power;
      expect(Math.abs(told - power)).toBeLessThan(0.15);
    }
    expect(learnCurve(worn(power, 0.15, 0, 7).slice(0, 8))).toBe(STRAIGHT);
  },
);

test('where wear slows as it gets thin, the end comes later than a straight line says', () => {
  const prior = { mu: Math.log(0.2), sigma: 0.3, changes: 0.001, handU: 0 };
  const offs = worn(0.6, 0.05, 0, 11).map(({ fitted, readings, end }) => {
    const half = readings.filter(({ y }) => y > 4);
    const off = (curve = STRAIGHT) =>
      (half.at(-1)?.x ?? 0) + crossingAt(crossingCurve(believe({ ...prior, curve }, fitted, half), 1.6), 0.5) - end;
    return { straight: off(), curved: off({ power: 0.6, middle: 4 }) };
  });
  const middle = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;
  expect(middle(offs.map(({ straight }) => straight))).toBeLessThan(-3);
  expect(Math.abs(middle(offs.map(({ curved }) => curved)))).toBeLessThan(1);
});
