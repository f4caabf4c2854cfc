import { keptLevels } from './levels';
import { seededRandom } from './random';

test('a level that is topped up is found low, left full, and falls again; one that is not needs nothing', () => {
  const truth = { fresh: 0.9, per1000: 0.03, topUpUnder: 0.4, topUpTo: 0.95 };
  const told = keptLevels(truth, [50_000, 60_000, 70_000, 80_000]);
  expect(told.map(({ found }) => Number(found.toFixed(3)))).toEqual([0.9, 0.6, 0.3, 0.65]);
  expect(told.map(({ left }) => left)).toEqual([null, null, 0.95, null]);
});

test('what was lost is what was filled and what is missing, whatever the visits', () => {
  const random = seededRandom(3);
  for (let run = 0; run < 500; run += 1) {
    const truth = { fresh: 0.5 + random() / 2, per1000: random() / 10, topUpUnder: random() * 0.5, topUpTo: 0.95 };
    const kms = [0];
    for (let n = 0; n < 6; n += 1) kms.push((kms.at(-1) ?? 0) + random() * 12_000);
    const told = keptLevels(truth, kms);
    const filled = told.reduce((sum, { found, left }) => sum + (left === null ? 0 : left - found), 0);
    const last = told.at(-1);
    const now = last?.left ?? last?.found ?? NaN;
    expect(truth.fresh + filled - now).toBeCloseTo((truth.per1000 * (kms.at(-1) ?? 0)) / 1000, 9);
    expect(told.every(({ found, left }) => (left === null) === found >= truth.topUpUnder)).toBe(true);
  }
});
