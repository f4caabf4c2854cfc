import { CAR, findingOf, inspectionOf, readingOf, treadOf } from '../tests/builders';
import { normalDraw, seededRandom } from '../simulator/random';
import { expectedAt, forecastOf } from './forecast';
import { crossingOf, fitLine, lineAt } from './leastSquares';
import { readingsOfCurrentPart, seriesOf, type VisitRecord } from './series';
import { t80 } from './studentT';
import { travelledByVisit } from './travelled';

describe('least squares', () => {
  test('meets the published fit of Anscombe’s first set', () => {
    const x = [10, 8, 13, 9, 11, 14, 6, 4, 12, 7, 5];
    const y = [8.04, 6.95, 7.58, 8.81, 8.33, 9.96, 7.24, 4.26, 10.84, 4.82, 5.68];
    const fit = fitLine(
      x.map((at, index) => ({ x: at, y: y[index] as number })),
      1e-9,
    );
    expect(fit?.slope).toBeCloseTo(0.5001, 4);
    expect(fit?.intercept).toBeCloseTo(3.0001, 4);
  });

  test('no line through one place', () => {
    expect(fitLine([{ x: 5, y: 1 }], 0.1)).toBeUndefined();
    expect(
      fitLine(
        [
          { x: 5, y: 1 },
          { x: 5, y: 2 },
        ],
        0.1,
      ),
    ).toBeUndefined();
    expect(fitLine([], 0.1)).toBeUndefined();
  });

  test('two readings already have a width, from the gauge', () => {
    const fit = fitLine(
      [
        { x: 0, y: 10 },
        { x: 10, y: 8 },
      ],
      0.2,
    );
    expect(fit && lineAt(fit, 20).half).toBeGreaterThan(0.2);
  });

  test('t has its printed values and falls to the normal one', () => {
    expect([1, 5, 30, 1000].map(t80)).toEqual([3.078, 1.476, 1.31, 1.2816]);
    expect(() => t80(0)).toThrow(RangeError);
  });

  test('the 80 % interval of the crossing holds the truth about 80 times in 100', () => {
    const random = seededRandom(7);
    let held = 0;
    const rounds = 2000;
    for (let round = 0; round < rounds; round += 1) {
      const readings = [0, 3, 6, 10].map((x) => ({ x, y: 10 - 0.4 * x + 0.2 * normalDraw(random) }));
      const fit = fitLine(readings, 0.2);
      const crossing = fit && crossingOf(fit, 1.6);
      if (crossing && crossing.low <= 21 && (crossing.high ?? Infinity) >= 21) held += 1;
    }
    expect(held / rounds).toBeGreaterThan(0.76);
    expect(held / rounds).toBeLessThan(0.86);
  });

  test('a slope that may be none leaves the far end open; a rising line has no crossing', () => {
    const slow = fitLine(
      [
        { x: 0, y: 8 },
        { x: 1, y: 7.9 },
      ],
      0.3,
    );
    expect(slow && crossingOf(slow, 1.6)).toMatchObject({ high: null });
    const rising = fitLine(
      [
        { x: 0, y: 7 },
        { x: 1, y: 8 },
      ],
      0.1,
    );
    expect(rising && crossingOf(rising, 1.6)).toBeUndefined();
  });
});

describe('distance travelled', () => {
  const visit = (
    id: string,
    at: string,
    meter: number,
    meterAnswer: 'meter-replaced' | 'last-misread' | null = null,
  ) => ({ id, at, meter, meterAnswer });

  test('goes on over a replaced meter and leaves a misread out, in any order', () => {
    const visits = [
      visit('d', '2026-04', 1500),
      visit('a', '2026-01', 90_000),
      visit('c', '2026-03', 500, 'meter-replaced'),
      visit('b', '2026-02', 92_000),
    ];
    expect([...travelledByVisit(visits)]).toEqual([
      ['a', 0],
      ['b', 2000],
      ['c', 2000],
      ['d', 3000],
    ]);
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
    const [series] = seriesOf(visits);
    if (!series) throw new Error('no series');
    return series;
  };

  test('readings line up by date whatever order they came in', () => {
    const series = padSeries([visitAt(3, 14_000, 8), visitAt(1, 10_000, 10), visitAt(2, 12_000, 9)]);
    expect(series.key).toBe('pad.inner@1L:whole');
    expect(series.readings.map(({ value }) => value)).toEqual([10, 9, 8]);
    expect(series.readings.map((reading) => reading.travelled)).toEqual([0, 2000, 4000]);
  });

  test('a perfect line runs out where it must, with a range around it', () => {
    const forecast = forecastOf(padSeries([visitAt(1, 10_000, 10), visitAt(2, 12_000, 9), visitAt(3, 14_000, 8)]), 1.5);
    expect(forecast.status).toBe('running-out');
    if (forecast.status !== 'running-out') return;
    expect(forecast.mid).toBeCloseTo(13_000, 0);
    expect(forecast.low).toBeLessThan(13_000);
    expect(forecast.high ?? Infinity).toBeGreaterThan(13_000);
    expect(expectedAt(forecast, 6000)?.y).toBeCloseTo(7, 6);
  });

  test('a new part begins a new line', () => {
    const series = padSeries([
      visitAt(1, 10_000, 4),
      visitAt(2, 12_000, 3),
      visitAt(3, 14_000, 11),
      visitAt(4, 16_000, 10),
    ]);
    expect(readingsOfCurrentPart(series).map(({ value }) => value)).toEqual([11, 10]);
    expect(forecastOf(series, 1.5)).toMatchObject({ status: 'running-out' });
  });

  test.each([
    ['one reading says what it needs', [visitAt(1, 10_000, 10)], 'needs-readings'],
    ['two on one day at one distance', [visitAt(1, 10_000, 10), visitAt(2, 10_000, 10)], 'needs-readings'],
    ['no wear', [visitAt(1, 10_000, 10), visitAt(2, 12_000, 10)], 'not-falling'],
    ['under the limit', [visitAt(1, 10_000, 2), visitAt(2, 12_000, 1)], 'reached'],
  ])('%s', (_, visits, status) => {
    expect(forecastOf(padSeries(visits), 1.5).status).toBe(status);
  });

  test('three places of a tread are three series', () => {
    const inspection = inspectionOf(CAR);
    expect(
      seriesOf([
        { inspection, findings: [findingOf('tyre.tread', '2R', { readings: treadOf(5, 6, 7) }, inspection.id)] },
      ]).map(({ key }) => key),
    ).toEqual(['tyre.tread@2R:outer', 'tyre.tread@2R:centre', 'tyre.tread@2R:inner']);
  });
});
