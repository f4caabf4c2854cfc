import { MEASURES, MEASURE_CODES } from '@weskopos/core';
import { findingOf, readingOf } from '@weskopos/core/src/tests/builders';
import fc from 'fast-check';
import { readingChange, withReading, wordChange } from '../features/walk/readings';
import { fromY, keyMoves, stepped, toY } from './tapeScale';

const HEIGHT = 300;
const MARGIN = 24;

test('a finger anywhere on any tape gives a value of the gauge’s step that lies under the finger', () => {
  fc.assert(
    fc.property(fc.constantFrom(...MEASURE_CODES), fc.integer({ min: -50, max: HEIGHT + 50 }), (code, y) => {
      const measure = MEASURES[code];
      const value = fromY(measure, HEIGHT, MARGIN, y);
      expect(value).toBeGreaterThanOrEqual(measure.least);
      expect(value).toBeLessThanOrEqual(measure.most);
      expect(Math.abs(value / measure.step - Math.round(value / measure.step))).toBeLessThan(1e-6);
      const half = (measure.step / (measure.tape[1] - measure.tape[0])) * (HEIGHT - 2 * MARGIN);
      const clamped = Math.min(HEIGHT - MARGIN, Math.max(MARGIN, y));
      expect(Math.abs(toY(measure, HEIGHT, MARGIN, value) - clamped)).toBeLessThanOrEqual(half / 2 + 1e-6);
    }),
  );
});

test('keys move by the gauge’s step and stop at what is possible', () => {
  const { tread } = MEASURES;
  expect(keyMoves(tread, 3, 'ArrowUp')).toBe(3.1);
  expect(keyMoves(tread, 3, 'PageDown')).toBe(2);
  expect(keyMoves(tread, 0, 'ArrowDown')).toBe(0);
  expect(keyMoves(tread, 3, 'Home')).toBe(0);
  expect(keyMoves(tread, 3, 'a')).toBeUndefined();
  expect(stepped(tread, 99)).toBe(25);
});

describe('a reading set on a point', () => {
  const slot = { measure: 'lining', spot: 'whole', phase: 'found' } as const;

  test('takes the place of the one before, or joins it as a repeat; as left stands beside as found', () => {
    const first = withReading([], slot, 3.5);
    expect(withReading(first, slot, 4)).toEqual([{ ...slot, values: [4] }]);
    expect(withReading(first, slot, 4, true)).toEqual([{ ...slot, values: [3.5, 4] }]);
    expect(withReading(first, { ...slot, phase: 'left' }, 8)).toHaveLength(2);
  });

  test('makes the point seen, but partly seen stays partly', () => {
    expect(readingChange(undefined, slot, 4)).toMatchObject({ access: 'seen' });
    expect(
      readingChange(findingOf('pad.inner', '1L', { access: 'not-reached', accessReason: 'seized' }), slot, 4),
    ).toMatchObject({ access: 'seen', accessReason: null });
    expect(
      readingChange(findingOf('pad.inner', '1L', { access: 'partly', accessReason: 'seized' }), slot, 4).access,
    ).toBe('partly');
  });

  test('the last word taken off leaves the point open, never sound by itself', () => {
    const noisy = findingOf('belt.aux', '', { words: ['noisy'] });
    expect(wordChange(noisy, 'noisy')).toMatchObject({ words: [], access: 'open' });
    expect(wordChange(noisy, 'slack')).toMatchObject({ words: ['noisy', 'slack'], access: 'seen' });
    const read = findingOf('pad.inner', '1L', { words: ['glazed'], readings: [readingOf('lining', 5)] });
    expect(wordChange(read, 'glazed').access).toBe('seen');
  });
});
