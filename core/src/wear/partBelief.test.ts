import { WearFilter, gridOf } from './wearFilter';
import { STRAIGHT } from './depthCurve';
import { atPresentAxle, type KindRates, type PartHistory } from './fleetRates';
import { learnWidths } from './learnWidths';
import { normalDraw, seededRandom } from '../simulator/random';
import { firstCrossing, partBelief, partCalibration, partCrossing, partSurprises } from './partBelief';
import { crossingAt, crossingCurve, type CrossingCurve } from './crossing';
import { stateOf } from './wearBelief';

const shift = (mean: number) => ({ mean, variance: 1e-4 });
const tread: KindRates = {
  parts: 50,
  base: Math.log(0.2),
  axles: { 'tread 1': shift(Math.log(1.5)), 'tread 2': shift(0) },
  cells: {},
  vehicles: {},
  between: 0.04,
  within: 0.03,
  changes: 0.001,
  handU: 0,
  curve: STRAIGHT,
  movedEvery: null,
};
const rates = { tread };
/** Worn 0.2 a thousand at the rear for ten, then 0.3 at the front for ten. */
const rotated: PartHistory = {
  id: 'p',
  vehicle: 'v',
  kind: 'tread',
  axle: 'tread 1',
  cell: 'tread 1 car',
  fitted: { x: 0, fresh: 8, sigma: 0.1 },
  readings: [
    { x: 5, y: 7, u: 0.1, bound: 'exact' },
    { x: 10, y: 6, u: 0.1, bound: 'exact' },
    { x: 15, y: 4.5, u: 0.1, bound: 'exact' },
    { x: 20, y: 3, u: 0.1, bound: 'exact' },
  ],
  before: [{ axle: 'tread 2', until: 10 }],
};

test('what was worn at another axle counts at that axle’s rate; the spare wears nothing', () => {
  const moved = atPresentAxle(rotated, tread.axles);
  expect(moved.readings.at(-1)?.x).toBe(20);
  // Ten thousand at the rear wore as two thirds of it would have in front.
  expect(moved.fitted?.x).toBeCloseTo(20 - 10 - 10 / 1.5, 9);
  expect(stateOf(partBelief(rates, rotated)).rate).toBeCloseTo(0.3, 2);
  const kept = atPresentAxle({ ...rotated, before: [{ axle: null, until: 10 }] }, tread.axles);
  expect(kept.fitted?.x).toBeCloseTo(10, 9);
  expect(atPresentAxle({ ...rotated, before: [] }, tread.axles).fitted?.x).toBe(0);
});

test('a change that may have come is a possibility: sooner by its chance, and only ever between with and without it', () => {
  const dragging: PartHistory = {
    ...rotated,
    before: [],
    readings: [6.5, 5, 3.8].map((y, n) => ({ x: 5 * (n + 1), y, u: 0.1, bound: 'exact' })),
  };
  const end = (chance: number) => {
    return crossingAt(partCrossing(rates, dragging, 1.6, { perhaps: { sinceX: 12.5, factor: 2, chance } }), 0.5);
  };
  expect(end(0.01)).toBe(crossingAt(partCrossing(rates, dragging, 1.6), 0.5));
  const ends = [0.01, 0.2, 0.5, 0.8, 1].map(end);
  expect([...ends].sort((a, b) => b - a)).toEqual(ends);
  expect(ends.at(-1)).toBeLessThan(0.75 * (ends[0] ?? NaN));
});

test('a bend that is not known well widens what is told, about the same middle', () => {
  const ends = (spread: number) => {
    const bentKind = { tread: { ...tread, curve: { power: 0.2, middle: 4.5, spread } } };
    const curve = partCrossing(bentKind, { ...rotated, before: [] }, 1.6);
    return [0.1, 0.5, 0.9].map((chance) => crossingAt(curve, chance));
  };
  const [low = 0, mid = 0, high = 0] = ends(0.01);
  const [wideLow = 0, wideMid = 0, wideHigh = 0] = ends(0.4);
  expect(wideHigh - wideLow).toBeGreaterThan(1.02 * (high - low));
  expect(Math.abs(wideMid / mid - 1)).toBeLessThan(0.1);
});

test('rates that were ruled out are left behind without a trace, where none can come back', () => {
  const prior = { mu: Math.log(0.2), sigma: 0.3, changes: 0, handU: 0.05 };
  const readings = rotated.readings.slice(0, 3);
  const whole = WearFilter.of(gridOf(prior), prior, rotated.fitted, readings[0]);
  for (const reading of readings) whole.take(reading);
  const slim = whole.slim();
  const next = rotated.readings[3] ?? readings[0];
  if (!next) throw new Error('four readings');
  for (const filter of [whole, slim]) filter.take(next);
  expect(slim.belief().rates.length).toBeLessThan(whole.belief().rates.length);
  expect(slim.likelihood).toBeCloseTo(whole.likelihood, 3);
  expect(stateOf(slim.belief()).rate).toBeCloseTo(stateOf(whole.belief()).rate, 4);
  const changing = { ...prior, changes: 0.01 };
  expect(() => WearFilter.of(gridOf(changing), changing, null).slim()).toThrow('changes: 0');
});

test('a house that moves its tyres has them wear on at the other axle', () => {
  const middle = (movedEvery: number | null, axle = 'tread 1') =>
    crossingAt(partCrossing({ tread: { ...tread, movedEvery } }, { ...rotated, axle }, 1.6), 0.5);
  expect(middle(null)).toBeCloseTo(1.4 / 0.3, 0);
  expect(middle(3)).toBeGreaterThan(middle(null) * 1.05);
  expect(middle(3, 'tread 2')).toBeLessThan(middle(null, 'tread 2') * 1.02);
});

test('the first place across a part ends it: as soon as the soonest by any distance, never later than the worst alone', () => {
  const curve = crossingCurve(partBelief(rates, rotated), 1.6);
  const middle = (curves: readonly CrossingCurve[]) => crossingAt(firstCrossing(curves), 0.5);
  expect(firstCrossing([curve])).toBe(curve);
  // Of three alike one comes a little sooner than each alone.
  expect(middle([curve, curve, curve])).toBeLessThan(middle([curve]));
  expect(middle([curve, curve, curve])).toBeGreaterThan(0.9 * middle([curve]));
  const far = crossingCurve(partBelief(rates, rotated), -6);
  expect(middle([curve, far])).toBeCloseTo(middle([curve]), 1);
  const sooner = crossingCurve(partBelief(rates, rotated), 2);
  expect(middle([curve, sooner])).toBeLessThan(middle([sooner]) + 0.02);
  const { chance } = firstCrossing([curve, sooner]);
  expect([...chance].sort((a, b) => a - b)).toEqual(chance);
});

describe('how wide ranges are told', () => {
  /** Parts whose rates stray from visit to visit by `strays`, which the model knows nothing of. */
  const fleet = (strays: number) => {
    const random = seededRandom(5);
    return Array.from({ length: 80 }, (_, n): PartHistory => {
      let y = 8;
      const readings = [1, 2, 3, 4, 5].map((look) => {
        y -= 5 * 0.2 * Math.exp(strays * normalDraw(random));
        return { x: 5 * look, y: y + 0.05 * normalDraw(random), u: 0.05, bound: 'exact' } as const;
      });
      const name = { id: `${n}`, vehicle: `v${n % 20}`, kind: 'tread', axle: 'tread 2', cell: 'tread 2 car' };
      return { ...name, fitted: { x: 0, fresh: 8, sigma: 0.1 }, readings };
    });
  };

  test('wider where later readings fall outside, also on vehicles it was not learned from', () => {
    const { scored, width } = learnWidths(fleet(0.8), rates).tread ?? { scored: 0, width: 1 };
    expect(scored).toBeGreaterThan(80);
    expect(width).toBeGreaterThan(1.2);
  });

  test('narrower where wear keeps nearer to what is told, but never by much; nothing where few have been read', () => {
    const { width } = learnWidths(fleet(0), rates).tread ?? { width: 1 };
    expect(width).toBeLessThan(0.9);
    expect(width).toBeGreaterThan(0.75);
    expect(learnWidths(fleet(0.8).slice(0, 6), rates)).toEqual({});
  });

  test('parts renewed early change next to nothing: the readings there are tell', () => {
    const early = fleet(0.8).map((part) => {
      const low = part.readings.findIndex(({ y }) => y < 3.6);
      return { ...part, readings: part.readings.slice(0, low === -1 ? undefined : low + 1) };
    });
    expect(early.flatMap(({ readings }) => readings).length).toBeLessThan(380);
    const [some, all] = [early, fleet(0.8)].map((parts) => learnWidths(parts, rates).tread?.width ?? 1);
    expect(Math.abs((some ?? 0) / (all ?? 1) - 1)).toBeLessThan(0.15);
    const middle = (parts: readonly PartHistory[]) => {
      const zs = parts.flatMap((part) => partSurprises(rates, part)).map(({ z }) => z);
      return zs.reduce((sum, z) => sum + z, 0) / zs.length;
    };
    expect(Math.abs(middle(early) - middle(fleet(0.8)))).toBeLessThan(0.2);
  });

  test('what is moved is told no narrower: readings show nothing of when it is', () => {
    const widths = { tread: { scored: 500, width: 0.8 } };
    const still = { ...rotated, before: [] };
    expect(partCalibration({ rates, widths }, still).width).toBe(0.8);
    expect(partCalibration({ rates: { tread: { ...tread, movedEvery: 9 } }, widths }, still).width).toBe(1);
    const [sets, wide] = [{ changes: [2], halfYear: 4 }, { tread: { scored: 500, width: 1.3 } }];
    expect(partCalibration({ rates, widths }, { ...still, sets }).width).toBe(1);
    expect(partCalibration({ rates, widths: wide }, { ...still, sets }).width).toBe(1.3);
  });
});
