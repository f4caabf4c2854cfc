import { drawBattery, drawFluid, healthAt, waterAt } from './ageing';
import { seededRandom } from './random';

const ages = [0, 12, 24, 36, 48, 60, 72];

test('brake fluid takes up ever less; a battery loses ever more', () => {
  const fluid = { fresh: 0.2, most: 4.4, months: 52 };
  const water = ages.map((age) => waterAt(fluid, age));
  expect(water[0]).toBe(0.2);
  expect(waterAt(fluid, 1e4)).toBeCloseTo(4.4, 6);
  const battery = { life: 60, knee: 3 };
  const health = ages.map((age) => healthAt(battery, age));
  expect(health[0]).toBe(1);
  expect(healthAt(battery, 60)).toBeCloseTo(0.6, 12);
  expect(healthAt(battery, 1e4)).toBe(0);
  const falls = (values: readonly number[]) => values.slice(1).map((value, n) => (values[n] ?? 0) - value);
  const [uptake, fade] = [falls(water).map((one) => -one), falls(health)];
  expect([...uptake].sort((a, b) => b - a)).toEqual(uptake);
  expect([...fade].sort((a, b) => a - b)).toEqual(fade);
});

test('drawn ones differ, and are the same for the same seed', () => {
  const draw = (seed: number) => {
    const random = seededRandom(seed);
    return [drawFluid(random), drawBattery(random)];
  };
  expect(draw(4)).toEqual(draw(4));
  expect(draw(4)).not.toEqual(draw(5));
  const lives = Array.from({ length: 400 }, (_, seed) => drawBattery(seededRandom(seed)).life).sort((a, b) => a - b);
  expect(lives[200]).toBeGreaterThan(58);
  expect(lives[200]).toBeLessThan(74);
});
