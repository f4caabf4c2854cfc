import { CAR, findingOf, inspectionOf, readingOf, rulesWith, treadOf, plainSeries } from '../tests/builders';
import { wearEnd, forecastSeries } from '../trends/runOut';
import type { Finding } from '../inspection/finding';
import type { Vehicle } from '../vehicle/vehicle';
import { forecastOf } from './forecast';
import type { VisitRecord } from '../inspection/visitRecord';
import { lastLook, seriesKey } from './series';

const visit = (n: number, meter: number, look: (id: string) => Finding[]): VisitRecord => {
  const id = `00000000-0000-4000-8000-0000000000e${n}`;
  return { inspection: inspectionOf(CAR, { id, meter, startedAt: `2026-0${n}-01T08:00:00Z` }), findings: look(id) };
};
const disc = (mm: number, lip: number) => (id: string) => [
  findingOf('disc', '1L', { readings: [readingOf('disc', mm), readingOf('disc-lip', lip)] }, id),
];

describe('series of points that take several measures', () => {
  const series = plainSeries([visit(1, 10_000, disc(24, 0.2)), visit(2, 20_000, disc(23, 0.4))]);

  test('each measure is a series of its own; the point’s main one needs no name', () => {
    expect(series.map(({ key, measure }) => [key, measure])).toEqual([
      ['disc@1L:whole:disc', 'disc'],
      ['disc@1L:whole:disc-lip', 'disc-lip'],
    ]);
    expect(seriesKey('tyre.tread', '1L', 'outer', 'tread')).toBe('tyre.tread@1L:outer');
    expect(seriesKey('tyre.pressure', '1L', 'whole', 'temperature')).toBe('tyre.pressure@1L:whole:temperature');
  });

  test('a disc runs out at the minimum of its spec sheet; a lip wears towards nothing', () => {
    const vehicle: Vehicle = { ...CAR, axles: CAR.axles.map((axle) => ({ ...axle, discMinimumMm: 20 })) };
    const runOut = forecastSeries(vehicle, series, rulesWith());
    expect(runOut.map(({ series: { key }, limit }) => [key, limit])).toEqual([['disc@1L:whole:disc', 20]]);
    const [thickness] = series;
    expect(thickness && wearEnd(CAR, thickness, rulesWith())).toBeNull();
  });

  test('a lining told in percent has its limit in millimetres still', () => {
    const [pads] = plainSeries([
      visit(1, 10_000, (id) => [findingOf('pad.outer', '1L', { readings: [readingOf('lining', 9)] }, id)]),
    ]);
    expect(pads && wearEnd(CAR, pads, rulesWith({ liningAs: 'percent' }))).toEqual({ value: 1.5, basis: 'law' });
  });
});

describe('what is no reading is no point of a series', () => {
  const bars = (bound: 'over' | 'under') => (id: string) => [
    findingOf('tyre.tread', '1L', { readings: treadOf(1.6, 1.6, 1.6).map((one) => ({ ...one, bound })) }, id),
  ];
  const tread = (mm: number) => (id: string) => [findingOf('tyre.tread', '1L', { readings: treadOf(mm, mm, mm) }, id)];

  test.each(['over', 'under'] as const)('a bar that says %s leaves the line as it was', (bound) => {
    const with1 = plainSeries([visit(1, 10_000, tread(6)), visit(2, 15_000, bars(bound)), visit(3, 20_000, tread(5))]);
    const without = plainSeries([visit(1, 10_000, tread(6)), visit(3, 20_000, tread(5))]);
    expect(with1.map(({ readings }) => readings.map(({ value }) => value))).toEqual(
      without.map(({ readings }) => readings.map(({ value }) => value)),
    );
    expect(with1).toHaveLength(3);
  });

  test('a bar is known of its part all the same, and is told again with every forecast', () => {
    const plain = [visit(1, 10_000, tread(6)), visit(2, 20_000, tread(3.4))];
    const end = (visits: readonly VisitRecord[]) => {
      const [one] = plainSeries(visits).filter(({ spot }) => spot === 'centre');
      if (!one) throw new Error('no series');
      const forecast = forecastOf(one, 1.6, { vehicle: CAR });
      if (forecast.status !== 'running-out') throw new Error(forecast.status);
      return { one, at: forecast.at, mid: (forecast.distance.mid ?? Infinity) + (lastLook(one)?.travelled ?? 0) };
    };
    const [without, over, under] = [
      end(plain),
      end([...plain, visit(3, 29_000, bars('over'))]),
      end([...plain, visit(3, 25_000, bars('under'))]),
    ];
    expect(without.one.bounds).toBeUndefined();
    expect(over.one.bounds).toMatchObject([{ value: 1.6, bound: 'over', travelled: 19_000 }]);
    expect(over.one.readings).toHaveLength(2);
    // Clear of the bar where it should have been gone: it lasts longer; flush where it should not: shorter.
    expect(over.mid).toBeGreaterThan(without.mid + 500);
    expect(under.mid).toBeLessThan(without.mid - 200);
    expect([without.at, over.at].map((at) => at.slice(0, 7))).toEqual(['2026-02', '2026-03']);
  });

  test('as left is not as found: a top-up is no better reading of the same oil', () => {
    const left = (id: string) => [
      findingOf('oil.level', '', { readings: [readingOf('level', 0.2), readingOf('level', 0.9, 'whole', 'left')] }, id),
    ];
    expect(plainSeries([visit(1, 10_000, left)])[0]?.readings.map(({ value }) => value)).toEqual([0.2]);
  });

  test('a carried look is the old reading again', () => {
    const carried = (id: string) =>
      tread(6)(id).map((one) => ({ ...one, carried: { at: '2026-01-01', from: 'visit' as const } }));
    expect(plainSeries([visit(1, 10_000, tread(6)), visit(2, 12_000, carried)])[0]?.readings).toHaveLength(1);
  });
});
