import { crossingAt } from './crossing';
import type { KindRates, PartHistory } from './fleetRates';
import { longest, movesAhead, wornBy } from './moves';
import { partCrossing } from './partBelief';

const tread: KindRates = {
  ...{ parts: 50, base: Math.log(0.2), cells: {}, vehicles: {}, between: 0.01, within: 0.02, changes: 0, handU: 0.05 },
  ...{ curve: { power: 0, middle: 1 }, movedEvery: null },
  axles: { 'tread 1': { mean: 0.2, variance: 0.01 }, 'tread 2': { mean: -0.2, variance: 0.01 } },
};
const part: PartHistory = {
  ...{ id: 'p', vehicle: 'v', kind: 'tread', axle: 'tread 1', cell: 'tread 1 car' },
  fitted: { x: 40, fresh: 8, sigma: 0.1 },
  readings: [{ x: 46, y: 6.6, u: 0.1, bound: 'exact' }],
};
const changes = [10, 16, 26, 32, 42];

test('off the road nothing wears; at the other axle it wears at that axle’s rate', () => {
  const [first, moves] = [{ first: 2, away: 6, here: 4 }, { ratio: 0 }];
  const worn = [1, 2, 8, 10, 12, 18, 22].map((driven) => wornBy(driven, first, moves));
  expect(worn).toEqual([1, 2, 2, 4, 6, 6, 10]);
  expect(wornBy(8, first, { ratio: 0.5 })).toBe(5);
});

test('one of two sets is away as long as the other set was on, and on as long as it was itself', () => {
  const ahead = movesAhead(tread, { ...part, sets: { changes, halfYear: null } });
  const middle = (of: (one: { away: number; here: number }) => number) =>
    [...(ahead?.cases ?? []).map(of)].sort((a, b) => a - b)[7];
  expect([middle(({ away }) => away), middle(({ here }) => here)]).toEqual([10, 6]);
  // Where one stretch is longer, the next is shorter.
  for (const { away, here } of ahead?.cases ?? []) expect(Math.sign(away - 10)).toBe(-Math.sign(here - 6) + 0);
  // On for 4 of some 6: due soon, sooner or later.
  const firsts = ahead?.cases.map(({ first }) => first) ?? [];
  expect(Math.min(...firsts)).toBeCloseTo(0.3, 6);
  expect(Math.max(...firsts)).toBeLessThan(7);
});

test('a season that went by without a visit leaves the set on for another round', () => {
  const late = { ...part, readings: [{ x: 60, y: 4, u: 0.1, bound: 'exact' } as const] };
  const [due, again] = [part, late].map((one) => movesAhead(tread, { ...one, sets: { changes, halfYear: null } }));
  expect(again?.cases.map(({ first }) => first)).not.toEqual(due?.cases.map(() => 0.3));
  expect(Math.max(...(again?.cases ?? []).map(({ first }) => first))).toBeGreaterThan(2);
});

test('before sets were changed twice, half a year of the vehicle stands for a stretch; of one nobody knows, a usual one', () => {
  const here = (halfYear: number | null, at: readonly number[]) =>
    movesAhead(tread, { ...part, sets: { changes: at, halfYear } })?.cases[1]?.here;
  expect(here(11, [])).toBe(11);
  expect(here(11, [44])).toBe(11);
  expect(here(null, [])).toBeGreaterThan(3);
  // Sets changed for each other twice in a day are no stretch of nothing.
  expect(here(11, [44, 44, 44])).toBeGreaterThan(0);
});

test('a set lasts the farther for being off the road, and its last chance is still a sure one', () => {
  const end = (one: PartHistory, chance = 0.5) => crossingAt(partCrossing({ tread }, one, 1.6), chance);
  const kept = { ...part, sets: { changes, halfYear: null } };
  expect(end(kept) / end(part)).toBeGreaterThan(1.6);
  expect(end(kept) / end(part)).toBeLessThan(3.4);
  expect(end(kept, 0.99)).toBeLessThan(Infinity);
  const first = (one: PartHistory) => crossingAt(partCrossing({}, one, 1.6), 0.5);
  expect(first(kept) / first(part)).toBeGreaterThan(1.6);
  const ahead = movesAhead(tread, kept);
  if (!ahead) throw new Error('moves');
  const far = longest([1, 9], ahead).at(-1) ?? 0;
  expect(Math.min(...ahead.cases.map((one) => wornBy(far, one, ahead)))).toBeGreaterThanOrEqual(9);
});
