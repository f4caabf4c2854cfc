import { MEASURES, MEASURE_CODES, fromStored } from '@weskopos/core';
import { findingOf, readingOf } from '@weskopos/core/tests/builders';
import fc from 'fast-check';
import { readingChange, withReading, wordChange } from '../visit/readings';
import { fittedTape, fromShare, keyMoves, stepped, stretchedTape, tapeTicks, toShare } from './tapeScale';

const TAPES = MEASURE_CODES.filter((code) => MEASURES[code].taken === 'tape');

test('a finger anywhere on any tape gives a value of the gauge’s step that lies under the finger', () => {
  expect(TAPES.length).toBeGreaterThan(8);
  fc.assert(
    fc.property(fc.constantFrom(...TAPES), fc.double({ min: -0.2, max: 1.2, noNaN: true }), (code, share) => {
      const measure = MEASURES[code];
      const value = fromShare(measure, share);
      expect(value).toBeGreaterThanOrEqual(measure.least);
      expect(value).toBeLessThanOrEqual(measure.most);
      expect(Math.abs(value / measure.step - Math.round(value / measure.step))).toBeLessThan(1e-6);
      const half = measure.step / (measure.tape[1] - measure.tape[0]) / 2;
      const clamped = Math.min(1, Math.max(0, share));
      expect(Math.abs(toShare(measure, value) - clamped)).toBeLessThanOrEqual(half + 1e-6);
    }),
  );
});

test('a tape of a state closes in on its limits; one of wear keeps its zero and grows to hold what was read', () => {
  const [low, high] = fittedTape(MEASURES.pressure, [207, 230, 253]).tape;
  expect(low).toBeGreaterThan(150);
  expect(low).toBeLessThan(207);
  expect(high).toBeGreaterThan(253);
  expect(fittedTape(MEASURES.tread, [3, 12, null]).tape).toEqual([0, 12]);
  expect(fittedTape(MEASURES.pressure, [null])).toBe(MEASURES.pressure);
});

test('limits are drawn apart, and a finger still sets what lies under it', () => {
  const tape = stretchedTape(MEASURES.tread, [1.6, 3]);
  const apart = (gauge: typeof tape) => toShare(gauge, 3) - toShare(gauge, 1.6);
  expect(apart(tape)).toBeGreaterThan(2 * apart(MEASURES.tread));
  expect([toShare(tape, tape.tape[0]), toShare(tape, tape.tape[1])]).toEqual([0, 1]);
  fc.assert(
    fc.property(fc.double({ min: 0, max: 10, noNaN: true }), fc.double({ min: 0, max: 10, noNaN: true }), (a, b) => {
      const [less, more] = [Math.min(a, b), Math.max(a, b)];
      expect(toShare(tape, less)).toBeLessThanOrEqual(toShare(tape, more));
      expect(Math.abs(fromShare(tape, toShare(tape, a)) - a)).toBeLessThanOrEqual(tape.step / 2 + 1e-6);
    }),
  );
  const shares = tapeTicks(tape, 'mm', 4).map((tick) => toShare(tape, tick));
  shares.slice(1).forEach((share, n) => expect(share - (shares[n] ?? 0)).toBeGreaterThan(0.15));
  expect(stretchedTape(MEASURES.tread, [1.6])).toBe(MEASURES.tread);
  expect(stretchedTape(MEASURES.tread, [2, 2])).toBe(MEASURES.tread);
});

test('ticks are round in the unit that is shown', () => {
  const shown = tapeTicks({ ...MEASURES.pressure, tape: [100, 500] }, 'psi', 6).map((kpa) => fromStored(kpa, 'psi'));
  for (const psi of shown) expect(psi % 10).toBeCloseTo(0, 4);
  expect(shown.length).toBeGreaterThan(3);
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
    expect(withReading(first, slot, 4)).toEqual([{ ...slot, values: [4], bound: 'exact', step: null }]);
    expect(withReading(first, slot, 4, { again: true })).toEqual([
      { ...slot, values: [3.5, 4], bound: 'exact', step: null },
    ]);
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

  test('an exact reading takes the place of a bound, and another measure of the same spot stands beside it', () => {
    const bar = withReading([], { ...slot, measure: 'tread', spot: 'outer' }, 1.6, { bound: 'over' });
    expect(withReading(bar, { ...slot, measure: 'tread', spot: 'outer' }, 3)).toEqual([
      { measure: 'tread', spot: 'outer', phase: 'found', values: [3], bound: 'exact', step: null },
    ]);
    expect(
      withReading(withReading([], { ...slot, measure: 'disc' }, 24), { ...slot, measure: 'disc-lip' }, 1),
    ).toHaveLength(2);
  });

  test('a fresh look takes the place of a carried one', () => {
    const carried = findingOf('pad.inner', '1L', { carried: { at: '2026-05-01', from: 'visit' } });
    expect(readingChange(carried, slot, 4)).toMatchObject({ carried: null, access: 'seen' });
  });

  test('the last word taken off leaves the point open, never sound by itself', () => {
    const noisy = findingOf('belt.aux', '', { words: ['noisy'] });
    expect(wordChange(noisy, 'noisy')).toMatchObject({ words: [], access: 'open' });
    expect(wordChange(noisy, 'slack')).toMatchObject({ words: ['noisy', 'slack'], access: 'seen' });
    const read = findingOf('pad.inner', '1L', { words: ['glazed'], readings: [readingOf('lining', 5)] });
    expect(wordChange(read, 'glazed').access).toBe('seen');
  });
});
