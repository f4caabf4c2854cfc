import fc from 'fast-check';
import { runsOf } from './runsOf';

const same = (first: string, item: string) => first === item;

test('items next to each other are one run; the same ones further on are another', () => {
  expect(runsOf([...'aabba'], same)).toEqual([['a', 'a'], ['b', 'b'], ['a']]);
  expect(runsOf([], same)).toEqual([]);
});

test('a run is measured by its first: what never belongs together goes alone', () => {
  expect(runsOf([1, 2, 3, 9], (first, item) => item - first < 2)).toEqual([[1, 2], [3], [9]]);
  expect(runsOf([1, 1], () => false)).toEqual([[1], [1]]);
});

test('nothing is lost, doubled or moved', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom('a', 'b', 'c')), (items) => {
      const runs = runsOf(items, same);
      expect(runs.flat()).toEqual(items);
      expect(runs.every(({ length }) => length > 0)).toBe(true);
      runs.forEach(([first], at) => expect(runs[at + 1]?.[0]).not.toBe(first));
    }),
  );
});
