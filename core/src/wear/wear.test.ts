import fc from 'fast-check';
import { normalDraw, seededRandom } from '../simulator/random';
import { UNCALIBRATED, askFor, worth } from './calibration';
import { priorFor, type PartHistory } from './fleetRates';
import { learnRates } from './learnRates';
import { normalCdf } from '../sums/normal';
import { USUAL_USAGE, chanceByDay, dayOfChance, expectedUse, learnUsage, usageNow } from './usageModel';
import { chanceAt, crossedBy, crossingAt, crossingCurve } from './crossing';
import { believe, stateOf } from './wearBelief';
import { type RatePrior, type WearReading } from './wearFilter';

const prior: RatePrior = { mu: Math.log(0.2), sigma: 0.3, changes: 0.004, handU: 0 };
const reading = (x: number, y: number, bound: WearReading['bound'] = 'exact'): WearReading => ({
  x,
  y,
  u: 0.15,
  bound,
});
const fresh = { x: 0, fresh: 8, sigma: 0.2 };
const line = (rate: number, xs: readonly number[]) => xs.map((x) => reading(x, 8 - rate * x));

test('the normal distribution meets its printed values', () => {
  expect([-1.645, 0, 1.2816, 2].map((z) => Number(normalCdf(z).toFixed(4)))).toEqual([0.05, 0.5, 0.9, 0.9772]);
});

describe('what readings say of one part', () => {
  test('without any the fleet speaks; with many the readings do', () => {
    expect(stateOf(believe(prior, fresh, [])).rate).toBeGreaterThan(0.18);
    const read = stateOf(believe(prior, fresh, line(0.3, [2, 5, 8, 11, 14])));
    expect(read.rate).toBeGreaterThan(0.28);
    expect(read.rate).toBeLessThan(0.32);
    expect(read.value).toBeCloseTo(8 - 0.3 * 14, 0);
  });

  test('one misread hardly moves it, and is told for odd', () => {
    const sound = believe(prior, fresh, line(0.2, [4, 8, 12, 16]));
    const wrong = believe(prior, fresh, [...line(0.2, [4, 8, 12]), reading(16, 2.4)]);
    expect(wrong.odd).toBeGreaterThan(0.5);
    expect(sound.odd).toBeLessThan(0.1);
    const apart = Math.abs(stateOf(wrong).value - stateOf(sound).value);
    expect(apart).toBeLessThan(1.3);
  });

  test('a bound counts as the inequality it is', () => {
    const plain = stateOf(believe(prior, fresh, [reading(10, 6)]));
    const above = stateOf(believe(prior, fresh, [reading(10, 6), reading(20, 5, 'above')]));
    const below = stateOf(believe(prior, fresh, [reading(10, 6), reading(20, 3, 'below')]));
    expect(above.rate).toBeLessThan(plain.rate);
    expect(below.rate).toBeGreaterThan(plain.rate);
    expect(above.value).toBeGreaterThan(4.5);
  });

  test('the chance to be worn out never falls with distance, whatever was read; its quantiles are in order', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.double({ min: 0.1, max: 9, noNaN: true }), fc.double({ min: 0, max: 14, noNaN: true })), {
          maxLength: 8,
        }),
        (looks) => {
          let x = 0;
          const belief = believe(
            prior,
            fresh,
            looks.map(([gone, y]) => reading((x += gone), y)),
          );
          const chances = [0, 1, 5, 20, 80].map((ahead) => crossedBy(belief, 1.6, ahead));
          expect(chances.every((chance) => chance >= 0 && chance <= 1)).toBe(true);
          const ends = [0.1, 0.5, 0.9].map((chance) => crossingAt(crossingCurve(belief, 1.6), chance));
          expect([...ends].sort((a, b) => a - b)).toEqual(ends);
          const curve = crossingCurve(belief, 1.6);
          expect(chanceAt(curve, 5)).toBeCloseTo(crossedBy(belief, 1.6, 5), 1);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('80 % hold about 80 times in 100 where the prior is true', () => {
    const random = seededRandom(5);
    let held = 0;
    for (let round = 0; round < 400; round += 1) {
      const rate = Math.exp(prior.mu + prior.sigma * normalDraw(random));
      const start = 8 + 0.2 * normalDraw(random);
      const read = [4, 9, 14].map((x) => reading(x, start - rate * x + 0.15 * normalDraw(random)));
      const belief = believe({ ...prior, changes: 0 }, fresh, read);
      const left = (start - 1.6) / rate - 14;
      const curve = crossingCurve(belief, 1.6);
      if (left >= crossingAt(curve, 0.1) && left <= crossingAt(curve, 0.9)) held += 1;
    }
    expect(held / 400).toBeGreaterThan(0.74);
    expect(held / 400).toBeLessThan(0.9);
  });
});

test('a part hardly over its limit and read roughly has an end all the same, however slow it wears', () => {
  const prior = { mu: Math.log(0.05), sigma: 0.3, changes: 0.002, handU: 0.3 };
  const belief = believe(prior, null, [{ x: 0, y: 1.62, u: 0.4, bound: 'exact' }]);
  const [low, high] = [0.1, 0.9].map((chance) => crossingAt(crossingCurve(belief, 1.6), chance));
  expect(low).toBe(0);
  expect(high).toBeGreaterThan(5);
  expect(high).toBeLessThan(60);
});

describe('what the fleet teaches', () => {
  const random = seededRandom(3);
  const part = (vehicle: number, n: number, rate: number): PartHistory => ({
    id: `${vehicle} ${n}`,
    vehicle: `v${vehicle}`,
    kind: 'tread',
    axle: 'tread 1',
    cell: 'tread 1 car town',
    fitted: fresh,
    readings: [6, 12, 18].map((x) => reading(x, 8 - rate * x + 0.1 * normalDraw(random))),
  });
  const parts = Array.from({ length: 12 }, (_, vehicle) => {
    const rate = vehicle === 0 ? 0.36 : 0.18;
    return [0, 1, 2].map((n) => part(vehicle, n, rate));
  }).flat();
  const rates = learnRates(parts);

  test('a vehicle that wears hard is known for it, a new one is as its kind, an unknown kind as built in', () => {
    const name = (vehicle: string) => ({ vehicle, kind: 'tread', axle: 'tread 1', cell: 'tread 1 car town' });
    expect(Math.exp(priorFor(rates, name('v0')).mu)).toBeGreaterThan(0.28);
    expect(Math.exp(priorFor(rates, name('v5')).mu)).toBeCloseTo(0.18, 1);
    const stranger = priorFor(rates, name('v99'));
    expect(stranger.sigma).toBeGreaterThan(priorFor(rates, name('v5')).sigma);
    expect(priorFor(rates, { ...name('v0'), kind: 'never' })).toEqual(priorFor({}, { ...name('v0'), kind: 'never' }));
    expect(JSON.parse(JSON.stringify(rates))).toEqual(rates);
  });

  test('slow parts and young ones count by what they tell: a fleet half of which is slow is not learned as fast', () => {
    const slow = Array.from({ length: 12 }, (_, vehicle) => [0, 1].map((n) => part(vehicle + 40, n, 0.09))).flat();
    const young = slow.map((one) => ({ ...one, readings: one.readings.slice(0, 1) }));
    for (const others of [slow, young]) {
      const learned = learnRates([...parts.slice(3), ...others]).tread;
      const middle = Math.exp((learned?.base ?? NaN) + (learned?.axles['tread 1']?.mean ?? NaN));
      expect(middle).toBeGreaterThan(0.1);
      expect(middle).toBeLessThan(0.17);
    }
    expect(learnRates([])).toEqual({});
    expect(learnRates([{ ...part(1, 1, 0.2), fitted: null, readings: [reading(0, 8)] }])).toEqual({});
  });

  test('a width stretches the ends and leaves the middle', () => {
    expect(askFor(UNCALIBRATED, 0.1)).toBe(0.1);
    const wide = { scored: 200, width: 1.5 };
    expect(askFor(wide, 0.1)).toBeLessThan(0.04);
    expect(askFor(wide, 0.5)).toBeCloseTo(0.5, 6);
    expect(askFor(wide, 0.9)).toBeCloseTo(1 - askFor(wide, 0.1), 6);
    expect(worth(wide, askFor(wide, 0.3))).toBeCloseTo(0.3, 5);
    expect(worth(wide, 0)).toBe(0);
  });
});

describe('use', () => {
  const YEAR = 365.25;
  const meter = (perDay: number, season: number) => {
    let x = 0;
    return Array.from({ length: 30 }, (_, n) => {
      const day = n * 45;
      if (n > 0) x += 45 * perDay * (1 + season * Math.cos((2 * Math.PI * (day - 22)) / YEAR));
      return { day, x };
    });
  };

  test('its season is found and taken out', () => {
    const fleet = learnUsage([meter(0.05, 0.3), meter(0.08, 0.3), meter(0.03, 0.3)]);
    expect(fleet.cosine).toBeCloseTo(0.3, 1);
    expect(Math.abs(fleet.sine)).toBeLessThan(0.06);
    const use = usageNow(meter(0.05, 0.3), fleet);
    expect(expectedUse(use, YEAR)).toBeCloseTo(0.05 * YEAR, 0);
  });

  test('days follow distance; no history leaves the fleet’s usual use, and doubt', () => {
    const use = usageNow(meter(0.05, 0), USUAL_USAGE);
    const day = dayOfChance(use, 0.5, (ahead) => (ahead >= 5 ? 1 : 0));
    expect(day).toBeGreaterThan(90);
    expect(day).toBeLessThan(110);
    expect(chanceByDay(use, 30, (ahead) => (ahead >= 5 ? 1 : 0))).toBeLessThan(0.05);
    expect(usageNow([], USUAL_USAGE)).toMatchObject({ perDay: USUAL_USAGE.usual, sigma: USUAL_USAGE.usualSigma });
    expect(dayOfChance(use, 0.5, () => 0)).toBe(Infinity);
    expect(learnUsage([])).toBe(USUAL_USAGE);
  });
});
