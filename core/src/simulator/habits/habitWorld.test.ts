import { seededRandom } from '../random';
import { habitWorld, type HabitPart } from './habitWorld';
import { CALM, NAMED_WORLDS, drawHabits, type Habits } from './habits';

const world = (habits: Partial<Habits>, seed = 3) =>
  habitWorld({ seed, vehicles: 12, years: 8, habits: { ...CALM, ...habits } });
const partsOf = (habits: Partial<Habits>) => world(habits).flatMap(({ parts }) => parts);
const early = ({ removedDay, crossedDay }: HabitPart) =>
  removedDay !== null && (crossedDay === null || crossedDay > removedDay);

test('the same plan gives the same world, another seed another', () => {
  expect(world({})).toEqual(world({}));
  expect(world({}, 4)).not.toEqual(world({}));
});

test.each(Object.entries(NAMED_WORLDS))(
  '%s: figures are figures, looks in order, nothing read after it was taken off',
  (_, habits) => {
    for (const { looks, removedDay, crossedDay, fittedDay, limit } of partsOf(habits)) {
      const days = looks.map(({ day }) => day);
      expect([...days].sort((a, b) => a - b)).toEqual(days);
      for (const { day, readings } of looks) {
        expect(day <= (removedDay ?? Infinity)).toBe(true);
        expect(readings.every(({ value, truth }) => value >= 0 && Number.isFinite(truth))).toBe(true);
        if (crossedDay !== null && day < crossedDay)
          expect(Math.min(...readings.map(({ truth }) => truth))).toBeGreaterThan(limit - 1e-9);
      }
      if (crossedDay !== null) expect(crossedDay).toBeGreaterThanOrEqual(fittedDay);
    }
  },
);

test('a house without habits renews nothing early, one with a habit does, and its truth goes on', () => {
  expect(partsOf({}).filter(early)).toEqual([]);
  const renewed = partsOf({ renewAt: 0.3, renewChance: 0.8, renewWith: 'axle' }).filter(early);
  expect(renewed.length).toBeGreaterThan(40);
  expect(renewed.filter(({ crossedDay }) => crossedDay !== null).length).toBeGreaterThan(renewed.length / 2);
});

test('each switch does what it says: depth, rotation, shoulders, bars, gauges', () => {
  const life = (power: number) => {
    const lives = partsOf({ depthPower: power }).flatMap(({ kind, nominal, crossedKm, looks, fittedKm }) => {
      const half = looks.find(({ readings }) => (readings[0]?.truth ?? 9) < 4.8);
      return kind === 'tread' && nominal !== null && crossedKm !== null && half
        ? [(crossedKm - half.km) / (half.km - fittedKm)]
        : [];
    });
    return lives.reduce((sum, one) => sum + one, 0) / lives.length;
  };
  expect(life(0.6)).toBeGreaterThan(life(0) * 1.2);
  expect(life(-0.4)).toBeLessThan(life(0) * 0.9);
  const axles = (habits: Partial<Habits>) =>
    partsOf(habits).filter(({ looks }) => new Set(looks.map(({ place }) => place.slice(0, 1))).size > 1).length;
  expect(axles({})).toBe(0);
  expect(axles({ rotateEvery: 10 })).toBeGreaterThan(20);
  const uneven = partsOf({ alignment: 0.4 }).filter(({ kind, looks }) => {
    const [outer, , inner] = looks.at(-1)?.readings.map(({ truth }) => truth) ?? [];
    return kind === 'tread' && Math.abs((outer ?? 0) - (inner ?? 0)) > 1.2;
  });
  expect(uneven.length).toBeGreaterThan(5);
  const bars = partsOf({ bars: 1 }).filter(({ kind }) => kind === 'tread');
  expect(
    bars.every(({ looks }) => looks.every(({ readings }) => readings.every(({ bound }) => bound !== 'exact'))),
  ).toBe(true);
  const coarse = partsOf({ tread: [{ step: 1, sigma: 0.2, off: 0 }] }).filter(({ kind }) => kind === 'tread');
  expect(
    coarse.every(({ looks }) => looks.every(({ readings }) => readings.every(({ value }) => value % 1 === 0))),
  ).toBe(true);
});

test('two sets of tyres are changed for each other, are looked at as they come and go, and wear only on the road', () => {
  const [tyres, single] = [partsOf({ seasonal: 1 }), partsOf({})].map((parts) =>
    parts.filter(({ kind }) => kind === 'tread'),
  );
  expect(single?.every(({ looks }) => looks.every(({ place, after }) => place !== 'kept' && after !== 'kept'))).toBe(
    true,
  );
  let stored = 0;
  for (const { looks } of tyres ?? [])
    for (const [index, { after, readings }] of looks.slice(0, -1).entries()) {
      const next = looks[index + 1];
      expect(next?.place === 'kept').toBe(after === 'kept');
      if (after !== 'kept') continue;
      stored += 1;
      expect(next?.readings.map(({ truth }) => truth)).toEqual(readings.map(({ truth }) => truth));
    }
  expect(stored).toBeGreaterThan(200);
});

test('a meter that was replaced counts on from elsewhere and is told once; hours are counted as hours', () => {
  const visits = world({ metersReplaced: 0.3 }).flatMap((one) => one.visits);
  const replaced = visits.filter(({ meterAnswer }) => meterAnswer === 'meter-replaced');
  expect(replaced.length).toBeGreaterThan(10);
  expect(visits.every(({ meter }) => meter >= 0)).toBe(true);
  expect(world({}).every((one) => one.visits.every(({ km, meter }) => km === meter))).toBe(true);
  const loaders = world({ byHours: 1 });
  expect(loaders.every(({ meterUnit }) => meterUnit === 'h')).toBe(true);
  expect(loaders.every((one) => one.visits.every(({ km, meter }) => Math.abs(km / 40 - meter) <= 1))).toBe(true);
});

test('worlds drawn from all switches differ, and can be lived in', () => {
  const drawn = [1, 2, 3].map((seed) => drawHabits(seededRandom(seed)));
  expect(new Set(drawn.map((one) => JSON.stringify(one))).size).toBe(3);
  for (const habits of drawn) expect(partsOf(habits).length).toBeGreaterThan(100);
});
