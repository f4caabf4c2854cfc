import type { Place } from '../vehicle/vehicle';
import { pressureFromReference } from '../grading/pressureAtReference';
import { CAR, inspectionOf } from '../tests/builders';
import type { RawReading } from '../trends/standingLooks';
import type { VisitMoment } from '../trends/series';
import { pressureLosses } from './pressureLosses';

const moment = (n: number, ambientC: number | null): VisitMoment =>
  inspectionOf(CAR, { id: `visit ${n}`, startedAt: `2026-0${n}-01T08:00:00.000Z`, ambientC });
const read = (n: number, value: number, phase: 'found' | 'left' = 'found', place: Place = '1L'): RawReading => ({
  inspectionId: `visit ${n}`,
  point: 'tyre.pressure',
  place,
  spot: 'whole',
  measure: 'pressure',
  phase,
  value,
  u: 2,
});

test('a cold day takes pressure and is no loss', () => {
  const [loss] = pressureLosses(
    [moment(1, 20), moment(2, -5)],
    [read(1, 240), read(2, Math.round(pressureFromReference(240, -5, 0)))],
    0,
  );
  expect(loss).toMatchObject({ place: '1L', days: 31 });
  expect(Math.abs(loss?.lost ?? NaN)).toBeLessThan(1);
});

test('counts from what was left, not from what was found before it was pumped up', () => {
  const visits = [moment(1, 20), moment(2, 20)];
  const [loss] = pressureLosses(visits, [read(1, 200), read(1, 240, 'left'), read(2, 225)], 0);
  expect(loss?.lost).toBeCloseTo(15, 6);
});

test('a visit that did not read the tyre is stepped over; each tyre counts for itself', () => {
  const visits = [moment(1, 20), moment(2, 20), moment(3, 20)];
  const losses = pressureLosses(
    visits,
    [read(1, 240), read(3, 220), read(2, 230, 'found', '1R'), read(3, 229, 'found', '1R')],
    0,
  );
  expect(losses.map(({ place, days, lost }) => [place, days, Math.round(lost)])).toEqual([
    ['1L', 59, 20],
    ['1R', 28, 1],
  ]);
});

test.each([
  ['nothing was read', []],
  ['it was read once', [read(2, 230)]],
  ['it was only ever left', [read(1, 230, 'left')]],
  [
    'something else was read',
    [
      { ...read(1, 6), measure: 'tread' as const },
      { ...read(2, 5), measure: 'tread' as const },
    ],
  ],
])('no loss where %s', (_, raw) => {
  expect(pressureLosses([moment(1, null), moment(2, 5)], raw, 0)).toEqual([]);
});

describe('over several visits', () => {
  const visits = [moment(1, 20), moment(2, 20), moment(3, 20), moment(4, 20)];
  test('what was put back in between hides nothing', () => {
    const readings = [read(1, 240), read(2, 232), read(2, 240, 'left'), read(3, 233), read(4, 226)];
    expect(pressureLosses(visits, readings, 0, 3)).toMatchObject([{ lost: expect.closeTo(22, 6), refills: 1 }]);
    expect(pressureLosses(visits, readings, 0, 1)).toMatchObject([{ lost: expect.closeTo(7, 6), refills: 0 }]);
  });
  test('a tyre with fewer goes back as far as it was read', () => {
    expect(pressureLosses(visits, [read(3, 230), read(4, 229)], 0, 4)).toMatchObject([{ lost: expect.closeTo(1, 6) }]);
  });
});
