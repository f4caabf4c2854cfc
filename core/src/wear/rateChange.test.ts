import fc from 'fast-check';

import type { Place } from '../vehicle/vehicle';
import type { FleetRates } from './fleetRates';
import { TOLD_FROM, findRateChange, type WatchedSpot } from './rateChange';

const WHEELS = ['1L', '1R', '2L', '2R'] as const satisfies readonly Place[];
const known = { mean: 0, variance: 0.01 };
const kind = {
  parts: 200,
  base: Math.log(0.2),
  axles: {},
  cells: {},
  vehicles: { v: known },
  between: 0.04,
  within: 0.02,
  changes: 0.004,
  handU: 0,
  curve: { power: 0, middle: 1 },
  movedEvery: null,
};
const RATES: FleetRates = { lining: kind, tread: kind };

/** Readings every 4000 km of a part that was 8 mm new. */
function watched(
  place: Place,
  ys: readonly number[],
  name: 'lining' | 'tread' = 'lining',
  spot = 'whole',
): WatchedSpot {
  return {
    place,
    history: {
      id: `${name} ${place} ${spot}`,
      vehicle: 'v',
      kind: name,
      axle: `${name} 1`,
      cell: `${name} 1 car town`,
      fitted: { x: 0, fresh: 8, sigma: 0.2 },
      readings: ys.map((y, n) => ({ x: (n + 1) * 4, y, u: 0.15, bound: 'exact' })),
    },
  };
}
const STEADY = [7.2, 6.4, 5.6, 4.8];
const oddsOf = (spots: readonly WatchedSpot[]) => findRateChange(RATES, spots)?.odds ?? Number.NaN;

test('two looks at a brake that drags name it, its onset and its odds; steady wear raises nothing', () => {
  const drag = findRateChange(RATES, [watched('1L', [7.2, 6.4, 4.4, 2.4]), watched('1R', STEADY)]);
  expect(drag).toMatchObject({ scope: 'part', places: ['1L'], kinds: ['lining'] });
  expect(drag?.odds).toBeGreaterThan(TOLD_FROM);
  expect(drag?.sinceX).toBe(10);
  expect(drag?.factor).toBeGreaterThan(1.8);
  expect(drag?.perhaps.get('lining 1L whole')?.chance).toBeGreaterThan(0.5);
  expect(drag?.perhaps.get('lining 1R whole')?.chance).toBeLessThan(0.05);
  expect(oddsOf([watched('1L', STEADY), watched('1R', STEADY)])).toBeLessThan(-1);
  expect(findRateChange(RATES, [])).toBeNull();
  expect(findRateChange(RATES, [watched('1L', [7.2])])).toBeNull();
});

test('a driver acts on all that wears: together it is surer than any alone', () => {
  const hard = [7.2, 6.4, 5.6, 4.2];
  const all = WHEELS.flatMap((place) => [watched(place, hard), watched(place, hard, 'tread')]);
  expect(findRateChange(RATES, all)).toMatchObject({ scope: 'vehicle', kinds: ['lining', 'tread'] });
  const pads = all.filter(({ history }) => history.kind === 'lining');
  expect(findRateChange(RATES, pads)).toMatchObject({ scope: 'kind', places: WHEELS });
  expect(oddsOf(all)).toBeGreaterThan(oddsOf(pads));
  expect(oddsOf(pads)).toBeGreaterThan(oddsOf(pads.slice(0, 1)));
});

test('a tyre that wears at one shoulder is named with the shoulder, its other places are not', () => {
  const spots = WHEELS.flatMap((place) =>
    ['outer', 'centre', 'inner'].map((spot) =>
      watched(place, place === '1R' && spot === 'inner' ? [7.2, 6.4, 4.9, 3.4] : STEADY, 'tread', spot),
    ),
  );
  expect(findRateChange(RATES, spots)).toMatchObject({ scope: 'spot', ids: ['tread 1R inner'], places: ['1R'] });
});

test('a gauge that read low at one visit, everywhere, is no hard driver; a misread is no drag', () => {
  const low = WHEELS.map((place) => watched(place, [7.2, 6.4, 5.6, 4.55], 'tread'));
  const alone = oddsOf(low.slice(0, 1));
  // Four readings that agree weigh little more than one: they have the gauge in common.
  expect(oddsOf(low)).toBeLessThan(TOLD_FROM);
  expect(oddsOf(low) - alone).toBeLessThan(2);
  expect(oddsOf(WHEELS.map((place) => watched(place, place === '1L' ? [7.2, 6.4, 5.6, 2.6] : STEADY)))).toBeLessThan(2);
});

test('whatever is read: no order matters, every chance is one, and nothing is surer than the whole', () => {
  const depth = fc.integer({ min: 0, max: 90 }).map((tenths) => tenths / 10);
  const readings = fc.array(depth, { minLength: 1, maxLength: 6 });
  fc.assert(
    fc.property(fc.array(readings, { minLength: 1, maxLength: 4 }), (all) => {
      const spots = all.map((ys, n) => watched(WHEELS[n] ?? '1L', ys));
      const change = findRateChange(RATES, spots);
      if (!change) return;
      expect(Number.isFinite(change.odds)).toBe(true);
      expect(findRateChange(RATES, [...spots].reverse())?.odds).toBeCloseTo(change.odds, 6);
      for (const { chance, factor } of change.perhaps.values()) {
        expect(chance).toBeGreaterThanOrEqual(0);
        expect(chance).toBeLessThanOrEqual(change.sureness + 1e-9);
        if (chance > 0) expect(factor).toBeGreaterThan(1);
      }
    }),
    { numRuns: 60 },
  );
});
