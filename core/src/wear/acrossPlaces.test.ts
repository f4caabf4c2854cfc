import { readTogether } from './acrossPlaces';
import type { PartHistory } from './fleetRates';
import type { WearReading } from './wearFilter';

const exact = (x: number, y: number): WearReading => ({ x, y, u: 0.15, bound: 'exact' });
const place = (id: string, readings: readonly WearReading[]): PartHistory => ({
  ...{ id, vehicle: 'v', kind: 'tread', axle: 'tread 1', cell: 'tread 1 car', readings },
  fitted: { x: 0, fresh: 8, sigma: 0.3 },
});
const across = (outer: readonly number[], centre: readonly number[], inner: readonly number[]) =>
  [outer, centre, inner].map((ys, n) =>
    place(
      `${n}`,
      ys.map((y, look) => exact(5 * (look + 1), y)),
    ),
  ) as [PartHistory, PartHistory, PartHistory];
const ysOf = ({ readings }: PartHistory) => readings.map(({ y }) => y);

test('what the gauge alone explains is drawn to the middle of the look, and is known better there', () => {
  const [outer, centre, inner] = across([6.8, 6.2], [7.1, 6.0], [7.0, 5.9]);
  const together = readTogether(outer, [centre, inner], 0);
  const middles = [6.97, 6.03];
  for (const [index, y] of ysOf(together).entries()) {
    const [was = NaN, middle = NaN] = [outer.readings[index]?.y, middles[index]];
    expect(Math.abs(y - middle)).toBeLessThan(0.5 * Math.abs(was - middle));
    expect(together.readings[index]?.u).toBeLessThan(0.135);
  }
});

test('a shoulder that goes by itself stays its own', () => {
  const [outer, centre, inner] = across([6.9, 5.8, 4.4, 3.0], [7.0, 6.1, 5.6, 4.9], [7.0, 6.0, 5.5, 4.8]);
  const last = readTogether(outer, [centre, inner], 0).readings.at(-1);
  expect(last?.y).toBeLessThan(3.25);
  expect(last?.u).toBeGreaterThan(0.13);
});

test('bounds, looks at one place only, and a part without a record are left as they are', () => {
  const [outer, centre, inner] = across([6.8], [7.1], [7.0]);
  const bound: WearReading = { x: 9, y: 3, u: 0.1, bound: 'above' };
  const alone = exact(12, 5);
  const told = readTogether({ ...outer, readings: [...outer.readings, bound, alone] }, [centre, inner], 0);
  expect(told.readings.slice(1)).toEqual([bound, alone]);
  expect(readTogether(outer, [], 0)).toBe(outer);
  const none = place('none', []);
  expect(readTogether(none, [centre], 0)).toBe(none);
});
