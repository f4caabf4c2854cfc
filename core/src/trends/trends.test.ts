import { CAR, findingOf, inspectionOf, readingOf, treadOf, plainSeries } from '../tests/builders';
import type { LifeEntry } from '../parts/lifeEntry';
import { chanceWithin, expectedAt, forecastOf } from './forecast';
import type { VisitRecord } from '../inspection/visitRecord';
import { usageOf } from './usageOf';
import { travelledByVisit } from './travelled';
import { learnRates } from '../wear/learnRates';
import { BUILT_IN_FLEET } from './fleetKnowledge';
import { partHistory } from './partHistory';

describe('distance travelled', () => {
  const visit = (
    id: string,
    at: string,
    meter: number,
    meterAnswer: 'meter-replaced' | 'last-misread' | null = null,
  ) => ({ id, at, meter, meterAnswer });

  test('goes on over a replaced meter as on average until then and leaves a misread out, in any order', () => {
    const visits = [
      visit('d', '2026-03-12', 1500),
      visit('a', '2026-01-01', 90_000),
      visit('c', '2026-03-02', 500, 'meter-replaced'),
      visit('b', '2026-01-31', 93_000),
    ];
    const told = [
      ['a', 0],
      ['b', 3000],
      ['c', 6000],
      ['d', 7000],
    ];
    expect([...travelledByVisit(visits)]).toEqual(told);
    // What is known of a day stays as it was told that day.
    expect([...travelledByVisit(visits.slice(1))]).toEqual(told.slice(0, 3));
    // The stretch that was not seen tells nothing of how it is used: the next one out counts by the two that were.
    const again = visit('e', '2026-03-22', 40, 'meter-replaced');
    expect(travelledByVisit([...visits, again]).get('e')).toBe(8000);
  });

  test('nothing is known of a stretch before which nothing was seen, and two visits on one day divide by no day', () => {
    const out = visit('b', '2026-02-01', 500, 'meter-replaced');
    expect(travelledByVisit([visit('a', '2026-01-01', 90_000), out]).get('b')).toBe(0);
    const sameDay = [visit('a', '2026-01-01', 90_000), visit('a2', '2026-01-01', 90_100), out];
    expect(travelledByVisit(sameDay).get('b')).toBe(100);
  });

  test('a reading later called a misread is left out', () => {
    const misread = [
      visit('a', '2026-01', 10_000),
      visit('b', '2026-02', 91_000),
      visit('c', '2026-03', 12_000, 'last-misread'),
    ];
    expect([...travelledByVisit(misread)]).toEqual([
      ['a', 0],
      ['c', 2000],
    ]);
  });
});

describe('series and forecast', () => {
  const visitAt = (month: number, meter: number, pad: number): VisitRecord => {
    const id = `00000000-0000-4000-8000-0000000000${month.toString().padStart(2, '0')}`;
    const inspection = inspectionOf(CAR, {
      id,
      startedAt: `2026-${month.toString().padStart(2, '0')}-01T08:00:00.000Z`,
      meter,
    });
    return { inspection, findings: [findingOf('pad.inner', '1L', { readings: [readingOf('lining', pad)] }, id)] };
  };
  const padSeries = (visits: VisitRecord[]) => {
    const [series] = plainSeries(visits);
    if (!series) throw new Error('no series');
    return series;
  };

  test('readings line up by date whatever order they came in', () => {
    const series = padSeries([visitAt(3, 14_000, 8), visitAt(1, 10_000, 10), visitAt(2, 12_000, 9)]);
    expect(series.key).toBe('pad.inner@1L:whole');
    expect(series.readings.map(({ value }) => value)).toEqual([10, 9, 8]);
    expect(series.readings.map((reading) => reading.travelled)).toEqual([0, 2000, 4000]);
  });

  const wear = [visitAt(1, 10_000, 10), visitAt(2, 12_000, 9), visitAt(3, 14_000, 8)];
  const given = { vehicle: CAR, use: usageOf(wear, [], 'km') };

  test('a steady line runs out about where it must, with a range around it, in distance and in days', () => {
    const forecast = forecastOf(padSeries(wear), 1.5, given);
    expect(forecast.status).toBe('running-out');
    if (forecast.status !== 'running-out') return;
    const { distance, days, line } = forecast;
    expect(distance.mid).toBeGreaterThan(11_000);
    expect(distance.mid).toBeLessThan(17_000);
    expect(distance.low).toBeLessThan(distance.mid ?? 0);
    expect(distance.high ?? Infinity).toBeGreaterThan(distance.mid ?? Infinity);
    expect([days?.low, days?.mid, days?.high]).toEqual(
      [...[days?.low, days?.mid, days?.high]].sort((a, b) => (a ?? 0) - (b ?? 0)),
    );
    expect(expectedAt(line, line.travelled).y).toBeCloseTo(line.value, 9);
    const width = (at: number) => expectedAt(line, at).high - expectedAt(line, at).low;
    expect(width(15_000)).toBeGreaterThan(width(5000));
  });

  test('when to look again comes sooner the less chance the house bears, and needs dates', () => {
    const days = (bears: number, use = given.use) => {
      const forecast = forecastOf(padSeries(wear), 1.5, { vehicle: CAR, use, bears });
      return forecast.status === 'running-out' ? forecast.lookAgain : undefined;
    };
    const [careful, usual, bold] = [days(0.05) ?? 0, days(0.2) ?? 0, days(0.5) ?? 0];
    expect(careful).toBeLessThan(usual);
    expect(usual).toBeLessThan(bold);
    const chance = (days: number) =>
      given.use ? chanceWithin(padSeries(wear), 1.5, { ...given, use: given.use }, days) : 0;
    expect(chance(usual)).toBeCloseTo(0.2, 2);
    expect(days(0.2, null)).toBeNull();
  });

  test('a new part begins a new line, told or not', () => {
    const visits = [visitAt(1, 10_000, 4), visitAt(2, 12_000, 3), visitAt(3, 14_000, 11), visitAt(4, 16_000, 10)];
    expect(padSeries(visits).ofPart.map(({ value }) => value)).toEqual([11, 10]);
    expect(padSeries(visits).readings.map(({ startsPart }) => startsPart)).toEqual([false, false, true, false]);
    expect(forecastOf(padSeries(visits), 1.5, { vehicle: CAR })).toMatchObject({ status: 'running-out', days: null });
    const fit: LifeEntry = {
      id: 'f',
      vehicleId: CAR.id,
      at: '2026-02-10T08:00:00.000Z',
      meter: 12_500,
      kind: 'fit',
      what: 'pads',
      place: '1L',
      fresh: 11.8,
      note: '',
    };
    const [told] = plainSeries(visits, [fit]);
    expect(told?.fitted).toEqual({ at: fit.at, travelled: 2500, fresh: 11.8 });
    expect(told?.ofPart).toHaveLength(2);
    // Fitted after it was first read: what was told cannot be.
    const late = { ...fit, meter: 15_000 };
    expect(plainSeries(visits, [late])[0]?.fitted).toBeNull();
  });

  test.each([
    [
      'one reading leans on general figures where nothing was learned, and says so',
      [visitAt(1, 10_000, 10)],
      { status: 'running-out', from: 'general' },
    ],
    [
      'two on one day at one distance are two looks',
      [visitAt(1, 10_000, 10), visitAt(2, 10_000, 10)],
      { status: 'running-out' },
    ],
    ['under the limit', [visitAt(1, 10_000, 2), visitAt(2, 12_000, 1)], { status: 'reached' }],
  ])('%s', (_, visits, expected) => {
    expect(forecastOf(padSeries(visits), 1.5, { vehicle: CAR })).toMatchObject(expected);
  });

  test('one reading leans on the fleet once it has learned of such parts', () => {
    const part = partHistory(CAR, padSeries(wear));
    const parts = Array.from({ length: 20 }, (_, n) => ({ ...part, id: `${n}`, vehicle: `v${n}` }));
    const fleet = { ...BUILT_IN_FLEET, rates: learnRates(parts) };
    const forecast = forecastOf(padSeries([visitAt(1, 10_000, 9)]), 1.5, { vehicle: CAR, fleet });
    expect(forecast).toMatchObject({ from: 'fleet' });
    expect(forecast).not.toHaveProperty('held');
    const failed = forecastOf(padSeries(wear), 1.5, {
      vehicle: CAR,
      fleet: { ...fleet, held: { lining: { parts: 60, held: 0.6 } } },
    });
    expect(failed).toMatchObject({ from: 'readings', held: 0.6 });
  });

  test('readings taken out of a series leave a forecast that says what it needs', () => {
    const series = padSeries(wear);
    expect(forecastOf({ ...series, readings: [], ofPart: [] }, 1.5, given)).toEqual({
      status: 'needs-readings',
      have: 0,
      want: 1,
    });
  });

  test('three places of a tread are three series', () => {
    const inspection = inspectionOf(CAR);
    expect(
      plainSeries([
        { inspection, findings: [findingOf('tyre.tread', '2R', { readings: treadOf(5, 6, 7) }, inspection.id)] },
      ]).map(({ key }) => key),
    ).toEqual(['tyre.tread@2R:outer', 'tyre.tread@2R:centre', 'tyre.tread@2R:inner']);
  });
});
