import type { Place } from '../vehicle/vehicle';
import { CAR } from '../tests/builders';
import type { LifeEntry } from '../parts/lifeEntry';
import { forecastOf } from '../trends/forecast';
import type { RawReading } from '../trends/standingLooks';
import { seriesFrom, type Series, type VisitMoment } from '../trends/series';
import { usageFrom } from '../trends/usageOf';
import { judge, scoreLine, type Judgement } from './judge';
import { STORED_CHANCES, toStore, type StoredForecast } from './storedForecast';

const DAY_MS = 86_400_000;
const FIRST = Date.parse('2025-01-01T08:00:00.000Z');
const moment = (n: number): VisitMoment => ({
  id: `visit ${n}`,
  startedAt: new Date(FIRST + n * 60 * DAY_MS).toISOString(),
  meter: 10_000 + n * 3000,
  meterAnswer: null,
  ambientC: 12,
});
const pad = (n: number, value: number, place: Place = '1L'): RawReading => ({
  inspectionId: `visit ${n}`,
  point: 'pad.inner',
  place,
  spot: 'whole',
  measure: 'lining',
  phase: 'found',
  value,
  u: 0.3,
});
const seriesUpTo = (values: readonly number[], entries: readonly LifeEntry[] = []): Series[] =>
  seriesFrom(
    values.map((_, n) => moment(n)),
    values.map((value, n) => pad(n, value)),
    entries,
  );
const LIMIT = 1.5;

/** What would have been put on record after the last of these readings. */
function stored(values: readonly number[]): StoredForecast {
  const [series] = seriesUpTo(values);
  if (!series) throw new Error('no series');
  const use = usageFrom(
    values.map((_, n) => moment(n)),
    [],
    'km',
  );
  const forecast = forecastOf(series, LIMIT, { vehicle: CAR, use });
  const kept = toStore(CAR, series, LIMIT, forecast, { use });
  if (!kept) throw new Error('nothing to store');
  return kept;
}

describe('a forecast on record', () => {
  test('keeps what the model said at every chance, what was shown, and what plain methods would have said', () => {
    const kept = stored([10, 9, 8]);
    expect(kept).toMatchObject({
      inspectionId: 'visit 2',
      series: 'pad.inner@1L:whole',
      kind: 'lining',
      travelled: 6000,
      value: 8,
    });
    expect(kept.distanceSteps).toHaveLength(STORED_CHANCES.length);
    const steps = kept.distanceSteps.map((step) => step ?? Infinity);
    expect([...steps].sort((a, b) => a - b)).toEqual(steps);
    const days = kept.daySteps.map((step) => step ?? Infinity);
    expect([...days].sort((a, b) => a - b)).toEqual(days);
    expect(kept.naive['last-two']).toBeCloseTo(19_500, 6);
    expect(kept.naive.line).toBeCloseTo(19_500, 6);
    expect(kept.naive['fleet-life']).toBeNull();
    expect(JSON.parse(JSON.stringify(kept))).toEqual(kept);
  });

  test('nothing is stored of what tells nothing: no reading, or the limit met already', () => {
    const [series] = seriesUpTo([3, 1]);
    if (!series) throw new Error('no series');
    const reached = forecastOf(series, LIMIT, { vehicle: CAR });
    expect(toStore(CAR, series, LIMIT, reached, {})).toBeNull();
    const empty = { ...series, readings: [], ofPart: [] };
    expect(toStore(CAR, empty, LIMIT, forecastOf(empty, LIMIT, { vehicle: CAR }), {})).toBeNull();
  });
});

describe('what became of it', () => {
  const forecast = stored([10, 9, 8]);

  test('it still waits while the part is over its limit', () => {
    expect(judge(forecast, seriesUpTo([10, 9, 8]))).toMatchObject({ fate: 'waiting', left: 0, leftDays: 0 });
    expect(judge(forecast, seriesUpTo([10, 9, 8, 7]))).toMatchObject({ fate: 'waiting', left: 3000, leftDays: 60 });
  });

  test('it has come true where the line through its last readings meets the limit', () => {
    expect(judge(forecast, seriesUpTo([10, 9, 8, 5, 3, 1]))).toMatchObject({
      fate: 'arrived',
      left: 8250,
      leftDays: 165,
    });
    // The gauge read a millimetre too little at last: the first reading under the limit comes before the part's end.
    const { left } = judge(forecast, seriesUpTo([10, 9, 8, 7, 6, 5, 4, 3.5, 1.4]));
    expect(left).toBeGreaterThan(17_500);
  });

  test('a part that went before its limit is replaced, not right and not wrong', () => {
    expect(judge(forecast, seriesUpTo([10, 9, 8, 7, 11.5, 11]))).toMatchObject({ fate: 'replaced', left: 3000 });
    const fit: LifeEntry = {
      id: 'new pads',
      vehicleId: CAR.id,
      at: moment(2.5).startedAt,
      meter: 17_500,
      kind: 'fit',
      what: 'pads',
      place: '1L',
      fresh: 8.5,
      note: '',
    };
    expect(judge(forecast, seriesUpTo([10, 9, 8, 8], [fit]))).toMatchObject({ fate: 'replaced', left: 0 });
  });

  test('a part is at its end where the first place across it is', () => {
    const tread = (n: number, spot: 'outer' | 'centre', value: number): RawReading => ({
      ...pad(n, value),
      point: 'tyre.tread',
      measure: 'tread',
      spot,
    });
    const upTo = (outer: readonly number[]) =>
      seriesFrom(
        outer.map((_, n) => moment(n)),
        outer.flatMap((value, n) => [tread(n, 'centre', 7 - n), tread(n, 'outer', value)]),
      );
    const [centre, shoulder] = upTo([7.5, 6.4, 5.3]);
    if (!centre || !shoulder) throw new Error('no series');
    const told = forecastOf(centre, 1.6, { vehicle: CAR, across: [centre, shoulder] });
    const kept = toStore(CAR, centre, 1.6, told, { across: [centre, shoulder] });
    if (!kept) throw new Error('nothing to store');
    expect(judge(kept, upTo([7.5, 6.4, 5.3, 4]))).toMatchObject({ fate: 'waiting', left: 3000 });
    // The shoulder falls from 4 to 1 while the centre still stands at 3.
    expect(judge(kept, upTo([7.5, 6.4, 5.3, 3.2, 1.1]))).toMatchObject({ fate: 'arrived' });
    expect(judge(kept, upTo([7.5, 6.4, 5.3, 3.2, 1.1])).left).toBeCloseTo(5286, 0);
    const alone = forecastOf(centre, 1.6, { vehicle: CAR });
    if (told.status !== 'running-out' || alone.status !== 'running-out') throw new Error('no range');
    expect(told.distance.mid).toBeLessThan(alone.distance.mid ?? 0);
  });

  test('readings that are gone leave it waiting; nothing breaks', () => {
    expect(judge(forecast, [])).toMatchObject({ fate: 'replaced', left: 0 });
    expect(judge(forecast, seriesUpTo([10]))).toMatchObject({ left: 0 });
  });
});

describe('the score', () => {
  const of = (left: number, fate: Judgement['fate'] = 'arrived'): Judgement => {
    const forecast = stored([10, 9, 8]);
    return { forecast, fate, left, leftDays: (left / 3000) * 60 };
  };
  const { shown } = stored([10, 9, 8]);
  const middle = shown.distance.mid ?? NaN;

  test('counts what has come, what waits and what went; only what has come is judged', () => {
    const line = scoreLine('lining', [of(middle), of(middle * 4), of(1000, 'waiting'), of(500, 'replaced')]);
    expect(line).toMatchObject({ name: 'lining', arrived: 2, waiting: 1, replaced: 1, held: 0.5 });
    expect(line.off).toBeCloseTo(middle * 1.5, 0);
    expect(scoreLine('lining', [of(1000, 'waiting')])).toMatchObject({ held: null, off: null, pinball: null });
  });

  test('ours and each plain method are compared on what that method could answer', () => {
    const line = scoreLine('lining', [of(middle), of(middle)]);
    expect(line.naive['last-two']).toMatchObject({ count: 2 });
    expect(line.naive['last-two']?.ours).toBeLessThan(line.naive['last-two']?.loss ?? 0);
    expect(line.naive['fleet-life']).toBeNull();
  });

  test('a forecast with an open end is held or not, and has no pinball', () => {
    const open = of(middle);
    const { distance, days } = open.forecast.shown;
    const shown = { distance: { ...distance, high: null }, days };
    const line = scoreLine('lining', [{ ...open, forecast: { ...open.forecast, shown } }]);
    expect(line).toMatchObject({ arrived: 1, held: 1, pinball: null });
    expect(line.naive.line).toBeNull();
  });
});
