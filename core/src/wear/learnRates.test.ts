import fc from 'fast-check';
import type { PartHistory } from './fleetRates';
import { learnRates } from './learnRates';
import { learnWidths } from './learnWidths';
import { CALM } from '../simulator/habits/habits';
import { habitWorld } from '../simulator/habits/habitWorld';
import { historyOf } from '../tests/habitHistory';
import { findRateChange } from './rateChange';
import { partCrossing } from './partBelief';
import { crossingAt } from './crossing';

const WHEELS = ['1L', '1R', '2L', '2R'] as const;
const looks = fc.array(
  fc.record({
    gone: fc.double({ min: 0, max: 30, noNaN: true }),
    y: fc.double({ min: 0, max: 14, noNaN: true }),
    u: fc.double({ min: 0.02, max: 0.6, noNaN: true }),
    bound: fc.constantFrom('exact' as const, 'exact' as const, 'above' as const, 'below' as const),
  }),
  { maxLength: 7 },
);

/** Whatever stands in a record: equal readings, better ones each time, forty in one place, none at all. */
const fleets = fc.array(
  fc.record({
    vehicle: fc.constantFrom('v1', 'v2', 'v3'),
    axle: fc.constantFrom('tread 1', 'tread 2'),
    isNew: fc.boolean(),
    wasMoved: fc.boolean(),
    sets: fc.option(
      fc.record({
        // A meter that ran back puts changes out of order.
        changes: fc.array(fc.double({ min: 0, max: 60, noNaN: true }), { maxLength: 5 }),
        halfYear: fc.option(fc.double({ min: -5, max: 40, noNaN: true })),
      }),
    ),
    looks,
  }),
  { maxLength: 30 },
);

test('whatever a fleet has written down, what is learned is figures, and so is every forecast from it', () => {
  fc.assert(
    fc.property(fleets, (drawn) => {
      const parts = drawn.map(({ vehicle, axle, isNew, wasMoved, sets, looks: told }, n): PartHistory => {
        let x = 3;
        const readings = told.map(({ gone, ...look }) => ({ ...look, x: (x += gone) }));
        const fitted = isNew ? { x: 1, fresh: 8, sigma: 0.3 } : null;
        const before = wasMoved ? [{ axle: 'tread 2', until: 5 }] : [];
        const name = { id: `${n}`, vehicle, kind: 'tread', axle, cell: `${axle} car` };
        return { ...name, fitted, readings, before, ...(sets ? { sets } : {}) };
      });
      const rates = learnRates(parts);
      const widths = learnWidths(parts, rates);
      // What is no figure becomes null on its way.
      expect(JSON.parse(JSON.stringify({ rates, widths }))).toEqual({ rates, widths });
      for (const part of parts.filter(({ readings }) => readings.length > 0)) {
        const ends = [0.1, 0.5, 0.9].map((chance) => crossingAt(partCrossing(rates, part, 1.6), chance));
        expect(ends.some(Number.isNaN)).toBe(false);
        expect([...ends].sort((a, b) => a - b)).toEqual(ends);
      }
      const watched = parts.map((history, n) => ({ place: WHEELS[n % WHEELS.length] ?? '1L', history }));
      const change = findRateChange(rates, watched);
      const figures = change ? [change.odds, change.factor, change.sinceX, change.sureness] : [];
      expect(figures.every(Number.isFinite)).toBe(true);
    }),
    { numRuns: 60 },
  );
});

test('how often a house moves its tyres is learned from all that was driven; none where they stay', () => {
  const moved = (rotateEvery: number) => {
    const world = habitWorld({ seed: 7, vehicles: 14, years: 6, habits: { ...CALM, rotateEvery } });
    const histories = world.flatMap((one) =>
      one.parts.flatMap((part) => historyOf(one, part, 'centre', 6 * 365) ?? []),
    );
    return learnRates(histories).tread?.movedEvery ?? null;
  };
  expect(moved(0)).toBeNull();
  // At the first visit after so many: half a stretch between visits more.
  expect(moved(12)).toBeGreaterThan(12);
  expect(moved(12)).toBeLessThan(22);
  expect(moved(25)).toBeGreaterThan(25);
});

test('what a house reads of new parts is learned, so that a gauge that is off makes no rate of it', () => {
  const of = (off: number) => {
    const tread = [{ step: 0.1, sigma: 0.15, off }];
    const world = habitWorld({ seed: 11, vehicles: 16, years: 6, habits: { ...CALM, tread } });
    const parts = world.flatMap((one) =>
      one.parts.filter(({ kind }) => kind === 'tread').map((part) => ({ one, part })),
    );
    const day = 4 * 365;
    const learned = learnRates(parts.flatMap(({ one, part }) => historyOf(one, part, 'centre', day) ?? [])).tread;
    return { newOff: learned?.newOff ?? NaN, rate: (learned?.base ?? NaN) + (learned?.axles['tread 2']?.mean ?? NaN) };
  };
  const [low, none, high] = [of(-0.25), of(0), of(0.25)];
  expect(low.newOff).toBeLessThan(-0.12);
  expect(Math.abs(none.newOff)).toBeLessThan(0.06);
  expect(high.newOff).toBeGreaterThan(0.12);
  for (const { rate } of [low, high]) expect(Math.abs(rate - none.rate)).toBeLessThan(0.06);
});

test('one misreading told over and over makes nothing surer than it was', () => {
  const part = (times: number): PartHistory => ({
    id: 'p',
    vehicle: 'v',
    kind: 'tread',
    axle: 'tread 1',
    cell: 'tread 1 car',
    fitted: { x: 0, fresh: 8, sigma: 0.2 },
    readings: [
      { x: 5, y: 7, u: 0.15, bound: 'exact' },
      { x: 10, y: 6, u: 0.15, bound: 'exact' },
      ...Array.from({ length: times }, () => ({ x: 15, y: 2, u: 0.15, bound: 'exact' }) as const),
    ],
  });
  const width = (times: number) => {
    const curve = partCrossing({}, part(times), 1.6);
    return crossingAt(curve, 0.9) - crossingAt(curve, 0.1);
  };
  expect(width(1)).toBeGreaterThan(width(0) * 0.8);
  // Forty in a week are off by the same: they make it hardly surer than a few do.
  expect(width(40)).toBeGreaterThan(width(4) * 0.6);
});
