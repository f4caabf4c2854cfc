import type { Wheel } from '../vehicle/place';
import type { Place } from '../vehicle/vehicle';
import fc from 'fast-check';
import { CAR, findingOf, inspectionOf, treadOf, plainSeries } from '../tests/builders';
import type { VisitRecord } from '../inspection/visitRecord';
import { rotationProblem, standingEntries, type LifeEntry, type LifeEntryContent } from './lifeEntry';
import { oilPer1000 } from './logs';
import { threadParts } from './threadParts';
import { changeOfSets } from './tyreSets';

const entry = (id: string, day: number, content: LifeEntryContent, meter: number | null = null): LifeEntry => ({
  id,
  vehicleId: CAR.id,
  at: `2026-01-${String(day).padStart(2, '0')}T08:00:00.000Z`,
  meter,
  ...content,
});
const fit = (id: string, day: number, place: Place = '1L') =>
  entry(id, day, { kind: 'fit', what: 'tyre', place, fresh: 8, note: '' });
const swap = (id: string, day: number) =>
  entry(id, day, {
    kind: 'rotate',
    moves: [
      { from: '1L', to: '2L' },
      { from: '2L', to: '1L' },
    ],
  });
const undo = (id: string, day: number, refers: string) => entry(id, day, { kind: 'undo', refers });
const at = (day: number) => `2026-01-${String(day).padStart(2, '0')}T12:00:00.000Z`;

describe('parts have an identity and move', () => {
  test('what came with the vehicle sits there until something is fitted', () => {
    const { partAt } = threadParts([fit('new', 10)]);
    expect(partAt('tyre', '1L', at(9))).toMatchObject({
      id: 'came:tyre@1L',
      fresh: null,
      removedAt: fit('new', 10).at,
    });
    expect(partAt('tyre', '1L', at(10))).toMatchObject({ id: 'new', fresh: 8, removedAt: null });
    expect(partAt('pads', '1L', at(12)).id).toBe('came:pads@1L');
  });

  test('a rotation moves all in one act, and its undoing moves them back', () => {
    const entries = [fit('new', 5), swap('turn', 10)];
    const { partAt } = threadParts(entries);
    expect([partAt('tyre', '1L', at(9)).id, partAt('tyre', '2L', at(9)).id]).toEqual(['new', 'came:tyre@2L']);
    expect([partAt('tyre', '1L', at(11)).id, partAt('tyre', '2L', at(11)).id]).toEqual(['came:tyre@2L', 'new']);
    const back = threadParts([...entries, undo('u', 12, 'turn')]);
    expect([back.partAt('tyre', '1L', at(11)).id, back.partAt('tyre', '2L', at(11)).id]).toEqual([
      'new',
      'came:tyre@2L',
    ]);
    const again = threadParts([...entries, undo('u', 12, 'turn'), undo('v', 13, 'u')]);
    expect(again.partAt('tyre', '2L', at(14)).id).toBe('new');
  });

  test('an entry that comes late re-threads what follows: the order of writing does not matter', () => {
    const entries = [fit('a', 3), swap('turn', 8), fit('b', 12, '2L'), fit('c', 15)];
    const seats = (list: readonly LifeEntry[]) => {
      const { partAt } = threadParts(list);
      return [2, 5, 9, 13, 20].map((day) => (['1L', '2L'] as const).map((place) => partAt('tyre', place, at(day)).id));
    };
    fc.assert(
      fc.property(fc.shuffledSubarray(entries, { minLength: entries.length }), (shuffled) => {
        expect(seats(shuffled)).toEqual(seats(entries));
      }),
    );
    expect(seats(entries).at(-1)).toEqual(['c', 'b']);
  });

  test.each<[{ from: Wheel; to: Wheel }[], string | null]>([
    [[], 'none'],
    [[{ from: '1L', to: '2L' }], 'not-closed'],
    [
      [
        { from: '1L', to: '2L' },
        { from: '1L', to: '1R' },
      ],
      'twice',
    ],
    [
      [
        { from: '1L', to: '2L' },
        { from: '2L', to: '1L' },
      ],
      null,
    ],
  ])('a rotation of %j: %s', (moves, problem) => expect(rotationProblem(moves)).toBe(problem));

  test('what was taken back does not stand', () => {
    expect(standingEntries([fit('a', 3), undo('u', 4, 'a')])).toEqual([]);
    expect(standingEntries([fit('b', 9), fit('a', 3)]).map(({ id }) => id)).toEqual(['a', 'b']);
  });
});

describe('series follow parts', () => {
  const visit = (n: number, day: number, front: number, rear: number): VisitRecord => {
    const id = `00000000-0000-4000-8000-0000000000f${n}`;
    return {
      inspection: inspectionOf(CAR, { id, startedAt: at(day), meter: 10_000 + n * 1000 }),
      findings: [
        findingOf('tyre.tread', '1L', { readings: treadOf(front, front, front) }, id),
        findingOf('tyre.tread', '2L', { readings: treadOf(rear, rear, rear) }, id),
      ],
    };
  };
  const visits = [visit(1, 2, 6, 7.5), visit(2, 6, 5.6, 7.3), visit(3, 12, 7, 5.4)];
  const seriesAt = (entries: readonly LifeEntry[], place: Place) =>
    plainSeries(visits, entries).find((one) => one.place === place && one.spot === 'centre');

  const sets = (id: string, day: number, meter: number | null = null) =>
    entry(id, day, { kind: 'rotate', moves: changeOfSets(['1L', '2L']) }, meter);

  test('of two sets each goes on where it was when it comes back, and knows when it was off the road', () => {
    const seasons = [visit(1, 2, 6, 7.5), visit(2, 6, 8, 8), visit(3, 12, 7.2, 7.4), visit(4, 20, 5.9, 7.4)];
    const entries = [sets('on', 4, 11_400), sets('back', 15, 13_200)];
    const seriesOf = (list: readonly LifeEntry[]) =>
      plainSeries(seasons, list).find((one) => one.place === '1L' && one.spot === 'centre');
    const back = seriesOf(entries);
    expect(back?.ofPart.map(({ value }) => value)).toEqual([6, 5.9]);
    expect(back?.before).toEqual([
      { place: '1L', until: 400 },
      { place: 'kept-1L', until: 2200 },
    ]);
    expect(back?.sets?.changes).toEqual([400, 2200]);
    expect(seriesOf(entries.slice(0, 1))?.ofPart.map(({ value }) => value)).toEqual([8, 7.2, 5.9]);
    expect(seriesOf([...entries, undo('u', 21, 'on'), undo('v', 21, 'back')])?.sets).toBeUndefined();
  });

  test('a vehicle’s half year is told by its visits; of visits side by side nothing is', () => {
    const half = (days: readonly number[]) =>
      plainSeries(
        days.map((day, n) => visit(n + 1, day, 6, 7)),
        [sets('on', 2)],
      )[0]?.sets?.halfYear;
    expect(half([1, 31])).toBeCloseTo((1000 / 30) * 182.6, 6);
    expect(half([1, 20])).toBeNull();
  });

  test('over a rotation: the part’s own readings, wherever it sat', () => {
    const front = seriesAt([swap('turn', 9)], '1L');
    expect(front?.readings.map(({ value }) => value)).toEqual([6, 5.6, 7]);
    expect(front?.ofPart.map(({ value }) => value)).toEqual([7.5, 7.3, 7]);
    expect(front?.readings.map(({ startsPart }) => startsPart)).toEqual([false, false, true]);
  });

  test('without it the better one looks new; undone it does again', () => {
    expect(seriesAt([], '1L')?.ofPart.map(({ value }) => value)).toEqual([7]);
    expect(seriesAt([swap('turn', 9), undo('u', 10, 'turn')], '1L')?.ofPart.map(({ value }) => value)).toEqual([7]);
  });

  test('a misread stays on record and out of the series', () => {
    const misread = entry('m', 13, {
      kind: 'misread',
      inspectionId: visits[1]?.inspection.id ?? '',
      point: 'tyre.tread',
      place: '1L',
      spot: 'centre',
    });
    expect(seriesAt([misread], '1L')?.readings.map(({ value }) => value)).toEqual([6, 7]);
  });
});

describe('oil topped up', () => {
  const topUp = (id: string, day: number, meter: number | null, litres = 0.5) =>
    entry(id, day, { kind: 'top-up', fluid: 'engine-oil', litres }, meter);

  test('is told per 1000 km and starts anew at a change', () => {
    const filled = [topUp('a', 2, 10_000), topUp('b', 5, 11_000), topUp('c', 9, 12_000)];
    expect(oilPer1000(filled)).toBeCloseTo(0.5, 9);
    const changed = { at: topUp('d', 10, 0).at, meter: 12_500 };
    expect(oilPer1000(filled, changed)).toBeNull();
    expect(oilPer1000([...filled, topUp('e', 20, 14_500, 0.8)], changed)).toBeCloseTo(0.4, 9);
    // Changed on a meter nobody read: the first top-up since filled what was used before anyone counted.
    expect(
      oilPer1000([...filled, topUp('e', 20, 14_500), topUp('f', 25, 15_500)], { ...changed, meter: null }),
    ).toBeCloseTo(0.5, 9);
  });

  test('without two meters, or over no distance, it is not told', () => {
    expect(oilPer1000([topUp('a', 2, 10_000)])).toBeNull();
    expect(oilPer1000([topUp('a', 2, null), topUp('b', 3, null)])).toBeNull();
    expect(oilPer1000([topUp('a', 2, 10_000), topUp('b', 3, 10_100)])).toBeNull();
  });
});
