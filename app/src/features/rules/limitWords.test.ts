/** @jest-environment node */
import { BASELINE, type LimitRow } from '@weskopos/core';
import { appliesWords, edgeWords, isMeant, judgedWords, limitSentence } from './limitWords';
import { nearbyOf } from './useNearby';

const rows = BASELINE.rows;
const tread = rows.find(
  ({ measure, kind, applies }) => measure === 'tread' && kind === 'value' && applies.classes?.includes('car'),
) as LimitRow;

test('a limit says what it judges, whom it governs and what it does', () => {
  expect(judgedWords(tread)).toBe('Tread, spare wheel: depth');
  expect(appliesWords(tread)).toMatch(/^Car, light goods/);
  expect(tread.thresholds.map(edgeWords)).toEqual(['under 3', 'under 1.6']);
  expect(limitSentence(tread)).toMatch(
    /^Tread, spare wheel: depth, by the reading: advisory under 3 mm \(house\), fail under 1\.6 mm \(law\)\. For car/,
  );
  for (const row of rows) expect(limitSentence(row)).not.toMatch(/undefined|NaN|: ,/);
});

test.each([
  ['brake pads', 'lining'],
  ['tread law', 'tread'],
  ['antifreeze', 'glycol'],
])('%s finds a limit on %s', (wanted, measure) => {
  const found = rows.filter((row) => isMeant(row, wanted));
  expect(found.map((row) => row.measure)).toContain(measure);
  expect(found.length).toBeLessThan(rows.length);
});

test('readings near a limit are those a gauge could not tell from it', () => {
  expect(nearbyOf(tread, new Map([['tread', [1.6, 1.7, 2.3, 3.1, 7]]]))).toBe(3);
  expect(nearbyOf(tread, new Map())).toBe(0);
  const spread = rows.find(({ kind }) => kind === 'spread') as LimitRow;
  expect(nearbyOf(spread, new Map([['tread', [1.5]]]))).toBeNull();
});
