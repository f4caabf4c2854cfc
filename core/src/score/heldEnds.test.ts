import { heldBetween, isNarrow } from '../trends/heldUp';
import { heldUp, widthOfEnds } from './heldEnds';
import type { Judgement } from './judge';
import { STORED_CHANCES, type StoredForecast } from './storedForecast';

const stored: StoredForecast = {
  inspectionId: 'i',
  vehicleId: 'v',
  at: '2026-01-01T08:00:00.000Z',
  series: 'pad.inner@1L:whole',
  point: 'pad.inner',
  place: '1L',
  part: 'p',
  kind: 'lining',
  travelled: 0,
  value: 8,
  limit: 1.5,
  // The model's quantiles: 0.5 to 9.5 thousand km, a straight line of chances.
  distanceSteps: STORED_CHANCES.map((chance) => chance * 10_000),
  daySteps: STORED_CHANCES.map(() => null),
  shown: { distance: { low: 1000, mid: 5000, high: 9000 }, days: null },
  naive: { 'last-two': null, line: null, 'line-from-new': null, 'fleet-life': null },
};
/** Ends of parts, each forecast as often as told. */
const ends = (lefts: readonly number[], times = 1, fate: Judgement['fate'] = 'arrived'): Judgement[] =>
  lefts.flatMap((left, part) =>
    Array.from({ length: times }, () => ({
      forecast: { ...stored, part: `${fate} ${part}` },
      fate,
      left,
      leftDays: left / 100,
    })),
  );
const spread = (count: number, from: number, to: number) =>
  Array.from({ length: count }, (_, n) => from + ((to - from) * (n + 0.5)) / count);

test('each part counts once, however often it was forecast', () => {
  const judged = [
    ...ends([5000, 5000, 5000]),
    ...ends([20_000], 30).map((one) => ({ ...one, forecast: { ...one.forecast, part: 'often' } })),
  ];
  expect(heldUp(judged)).toEqual({ parts: 4, held: 0.75 });
  // A tyre is told by its worst place, which need not stay the same: one part all the same.
  const tyre = ends([5000, 20_000]).map((one, n) => ({
    ...one,
    forecast: { ...one.forecast, part: `tyre.tread@1L ${n ? 'inner' : 'centre'} 2` },
  }));
  expect(heldUp(tyre)).toEqual({ parts: 1, held: 0.5 });
  expect(heldUp([])).toEqual({ parts: 0, held: null });
  expect(heldUp(ends([5000], 3, 'waiting'))).toEqual({ parts: 0, held: null });
});

test('the interval of a share: wide for few, between nothing and all, around what held', () => {
  expect(heldBetween({ parts: 0, held: null })).toBeNull();
  const [low, high] = heldBetween({ parts: 10, held: 0.8 }) ?? [];
  // Wilson 1927, eight of ten.
  expect(low).toBeCloseTo(0.49, 2);
  expect(high).toBeCloseTo(0.943, 2);
  expect(heldBetween({ parts: 5, held: 1 })?.[1]).toBe(1);
});

test.each([
  [{ parts: 11, held: 0 }, false],
  [{ parts: 40, held: 0.6 }, true],
  [{ parts: 40, held: 0.72 }, false],
  [{ parts: 400, held: 0.72 }, true],
  [{ parts: 0, held: null }, false],
])('%o is narrow: %s', (told, narrow) => expect(isNarrow(told)).toBe(narrow));

test('wider by how far out the ends came, and only where ranges have failed for certain', () => {
  // As promised: ends spread as the model has them.
  expect(widthOfEnds(ends(spread(60, 0, 10_000)))).toBeNull();
  // Twice as far out as the model has them, on both sides.
  const out = widthOfEnds(ends([...spread(30, 0, 800), ...spread(30, 9200, 14_000)], 3));
  expect(out?.scored).toBe(60);
  expect(out?.width).toBeGreaterThan(1.2);
  expect(out?.width).toBeLessThanOrEqual(2);
  expect(widthOfEnds(ends(spread(6, 0, 500)))).toBeNull();
});

test('nothing is learned from the ends of a house that renews before them', () => {
  const fast = ends(spread(30, 0, 900));
  expect(widthOfEnds(fast)).not.toBeNull();
  expect(widthOfEnds([...fast, ...ends(spread(40, 3000, 6000), 1, 'replaced')])).toBeNull();
});
