import type { Place } from '../vehicle/vehicle';
import { CAR, inspectionOf } from '../tests/builders';
import type { LifeEntry, LifeEntryContent } from '../parts/lifeEntry';
import { expectedUse } from '../wear/usageModel';
import { BUILT_IN_FLEET } from './fleetKnowledge';
import { METER_STEP, allPartsOf, partHistory, partName, peersRate } from './partHistory';
import type { RawReading } from './standingLooks';
import { seriesFrom, type VisitMoment } from './series';
import { meterPoints, usageFrom } from './usageOf';

const moment = (n: number, day: string, meter: number, change: Partial<VisitMoment> = {}): VisitMoment => ({
  ...inspectionOf(CAR, { id: `visit ${n}`, startedAt: `2026-${day}T08:00:00.000Z`, meter }),
  ...change,
});
const entry = (day: string, meter: number | null, content: LifeEntryContent): LifeEntry => ({
  id: `${content.kind} ${day}`,
  vehicleId: CAR.id,
  at: `2026-${day}T18:00:00.000Z`,
  meter,
  ...content,
});
const fuel = (day: string, meter: number | null) =>
  entry(day, meter, { kind: 'fuel', litres: 40, full: true, price: null });

describe('the meter’s points', () => {
  const visits = [moment(1, '01-01', 10_000), moment(2, '03-02', 13_000)];

  test('are those of visits and of what was written down between them', () => {
    const points = meterPoints(visits, [fuel('02-01', 11_500), fuel('02-10', null)], 'km');
    expect(points.map(({ x }) => x)).toEqual([0, 1.5, 3]);
    expect((points[1]?.day ?? 0) - (points[0]?.day ?? 0)).toBeCloseTo(31.4, 1);
  });

  test('two on one day are one, the later', () => {
    expect(meterPoints(visits, [fuel('03-02', 13_040)], 'km').map(({ x }) => x)).toEqual([0, 3.04]);
  });

  test('a replaced meter goes on as on average until then; a misread is left out', () => {
    const replaced = [...visits, moment(3, '05-01', 200, { meterAnswer: 'meter-replaced' }), moment(4, '06-01', 1200)];
    expect(meterPoints(replaced, [], 'km').map(({ x }) => x)).toEqual([0, 3, 6, 7]);
    const misread = [
      visits[0],
      moment(2, '03-02', 91_000),
      moment(3, '05-01', 14_000, { meterAnswer: 'last-misread' }),
    ];
    expect(meterPoints(misread as VisitMoment[], [], 'km').map(({ x }) => x)).toEqual([0, 4]);
  });

  test('what was taken back does not count', () => {
    const wrong = fuel('02-01', 99_000);
    const undo = entry('02-02', null, { kind: 'undo', refers: wrong.id });
    expect(meterPoints(visits, [wrong, undo], 'km').map(({ x }) => x)).toEqual([0, 3]);
  });

  test('hours have steps of their own', () => {
    expect(meterPoints(visits, [], 'h').at(-1)?.x).toBe(3000 / METER_STEP.h);
  });

  test('use is what the meter says, and nothing before it has been read', () => {
    expect(usageFrom([], [], 'km')).toBeNull();
    const use = usageFrom([moment(1, '01-01', 10_000), moment(2, '12-31', 46_400)], [], 'km');
    expect(use?.perDay).toBeGreaterThan(0.09);
    expect(use?.perDay).toBeLessThan(0.11);
  });

  test('a coming trip is driven over what is usual until its end, and not after; taken back it is not', () => {
    const visits = [moment(1, '01-01', 10_000), moment(2, '12-31', 46_400)];
    const trip = entry('12-31', null, { kind: 'plan', distance: 3000, until: '2027-01-30T08:00:00.000Z' });
    const [plain, planned] = [usageFrom(visits, [], 'km'), usageFrom(visits, [trip], 'km')];
    if (!plain || !planned) throw new Error('the meter was read');
    const more = (days: number) => expectedUse(planned, days) - expectedUse(plain, days);
    expect(more(15)).toBeCloseTo(1.5, 1);
    expect(more(30)).toBeCloseTo(3, 6);
    expect(more(200)).toBeCloseTo(3, 6);
    expect(more(0)).toBe(0);
    const undo = entry('12-31', null, { kind: 'undo', refers: trip.id });
    expect(usageFrom(visits, [trip, undo], 'km')?.plans).toEqual([]);
  });
});

describe('a part as the wear model takes it', () => {
  const tread = (n: number, value: number, place: Place = '1L'): RawReading => ({
    inspectionId: `visit ${n}`,
    point: 'tyre.tread',
    place,
    spot: 'centre',
    measure: 'tread',
    phase: 'found',
    value,
    u: 0.1,
  });
  const visits = [moment(1, '01-01', 10_000), moment(2, '03-01', 15_000), moment(3, '05-01', 20_000)];
  const fit = entry('02-01', 12_000, { kind: 'fit', what: 'tyre', place: '1L', fresh: 8, note: '' });
  const [series] = seriesFrom(visits, [tread(1, 2.2), tread(2, 7.4), tread(3, 6.5)], [fit]);
  if (!series) throw new Error('no series');

  test('begins where it was fitted, in steps of the meter', () => {
    const part = partHistory(CAR, series);
    expect(part.fitted).toMatchObject({ x: 2, fresh: 8 });
    expect(part.readings.map(({ x, y }) => [x, y])).toEqual([
      [5, 7.4],
      [10, 6.5],
    ]);
  });

  test('those long gone are known too, each by its own readings', () => {
    const parts = allPartsOf(CAR, series);
    expect(parts.map(({ readings }) => readings.map(({ y }) => y))).toEqual([[7.4, 6.5], [2.2]]);
    expect(new Set(parts.map(({ id }) => id)).size).toBe(2);
    expect(parts[1]?.fitted).toBeNull();
  });

  test('is named by its kind, axle, and the vehicle’s class and use; hours wear apart from kilometres', () => {
    const name = partName(CAR, series);
    expect(name).toMatchObject({ vehicle: CAR.id, kind: 'tread', axle: 'tread 1' });
    expect(partName({ ...CAR, use: 'other' }, series).cell).not.toBe(name.cell);
    expect(partName({ ...CAR, meterUnit: 'h' }, series).kind).not.toBe('tread');
    expect(partName(CAR, { ...series, place: '2L' }).axle).toBe('tread 2');
  });

  test('its peers wear what the fleet is known to, the vehicle’s own habit left out', () => {
    const built = peersRate(CAR, series, BUILT_IN_FLEET, 4);
    expect(built * 1000).toBeCloseTo(0.18, 6);
    const shift = { mean: Math.log(2), variance: 0.01 };
    const rates = {
      tread: {
        parts: 9,
        base: Math.log(0.18),
        axles: {},
        cells: {},
        vehicles: { [CAR.id]: shift },
        between: 0.05,
        within: 0.04,
        changes: 0.004,
        handU: 0.1,
        curve: { power: 0.5, middle: 4 },
        movedEvery: null,
      },
    };
    expect(peersRate(CAR, series, { rates }, 4)).toBeCloseTo(built, 12);
    // Where it is thin it wears slower here, and so do its peers.
    expect(peersRate(CAR, series, { rates }, 1)).toBeCloseTo(built / 2, 12);
    const hard = { tread: { ...rates.tread, axles: { 'tread 1': shift } } };
    expect(peersRate(CAR, series, { rates: hard }, 4)).toBeCloseTo(2 * built, 12);
  });

  test('a carried, left or misread figure is none of its readings', () => {
    const left = { ...tread(2, 9), phase: 'left' } as const;
    const misread = entry('06-01', null, {
      kind: 'misread',
      inspectionId: 'visit 3',
      point: 'tyre.tread',
      place: '1L',
      spot: 'centre',
    });
    const [one] = seriesFrom(visits, [tread(1, 7), left, tread(3, 1)], [misread]);
    expect(one?.readings.map(({ value }) => value)).toEqual([7]);
  });
});
