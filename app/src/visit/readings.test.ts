import { findingOf, readingOf } from '@weskopos/core/tests/builders';
import { clearedChange, lookChange, readingChange, withReading, wordChange } from './readings';

const LINING = { measure: 'lining', spot: 'whole', phase: 'found' } as const;
const PRESSURE = { measure: 'pressure', spot: 'whole', phase: 'found' } as const;

test('a value replaces what was read at its place, or stands beside it as a repeat', () => {
  const before = [readingOf('lining', 6), readingOf('lining', 9, 'whole', 'left')];
  expect(withReading(before, LINING, 5)).toEqual([before[1], readingOf('lining', 5)]);
  expect(withReading(before, LINING, 5, { again: true })).toEqual([before[1], readingOf('lining', [6, 5])]);
  expect(withReading([], LINING, 5, { bound: 'under' })[0]).toMatchObject({ values: [5], bound: 'under' });
});

test('a reading that is taken away leaves the point open, where nothing else was told', () => {
  const pad = findingOf('pad.outer', '1L', { readings: [readingOf('lining', 6)] });
  expect(clearedChange(pad, LINING)).toMatchObject({ access: 'open', readings: [] });
  const glazed = findingOf('pad.outer', '1L', { readings: [readingOf('lining', 6)], words: ['glazed'] });
  expect(clearedChange(glazed, LINING)).toMatchObject({ access: 'seen', readings: [] });
  const both = findingOf('tyre.pressure', '1L', {
    readings: [readingOf('pressure', 220), readingOf('temperature', 9)],
  });
  expect(clearedChange(both, PRESSURE)).toMatchObject({ access: 'seen', readings: [readingOf('temperature', 9)] });
  // As left stays when as found goes.
  const left = findingOf('tyre.pressure', '1L', { readings: [readingOf('pressure', 230, 'whole', 'left')] });
  expect(clearedChange(left, PRESSURE).readings).toEqual(left.readings);
  expect(clearedChange(undefined, LINING)).toMatchObject({ access: 'open', readings: [] });
});

test('what was said to be seen in part stays so, whatever is added or taken away', () => {
  const partly = findingOf('pad.outer', '1L', {
    access: 'partly',
    accessReason: 'unsafe',
    readings: [readingOf('lining', 6)],
  });
  expect(clearedChange(partly, LINING)).toEqual({ readings: [] });
  expect(wordChange(partly, 'glazed')).toEqual({ words: ['glazed'] });
  expect(readingChange(partly, LINING, 5)).toMatchObject({ access: 'partly', readings: [readingOf('lining', 5)] });
  expect(lookChange(partly, {})).not.toHaveProperty('accessReason');
});

test('the last word off is not the same as sound', () => {
  const noisy = findingOf('belt.aux', '', { words: ['noisy'] });
  expect(wordChange(noisy, 'noisy')).toMatchObject({ access: 'open', words: [] });
  expect(wordChange(noisy, 'slack')).toMatchObject({ access: 'seen', words: ['noisy', 'slack'], carried: null });
});
