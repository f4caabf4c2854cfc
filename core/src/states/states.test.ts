import { NO_DETAILS, type LifeEntry, type LifeEntryContent } from '../parts/lifeEntry';
import { CAR, rulesWith } from '../tests/builders';
import type { MeasureCode } from '../catalogue/measures';
import type { PointCode } from '../catalogue/catalogue';
import type { RawReading } from '../trends/standingLooks';
import { BUILT_IN_FLEET, type FleetKnowledge } from '../trends/fleetKnowledge';
import { AGE_SHAPES } from './ageShapes';
import { ageForecast } from './ageForecast';
import { judge } from '../score/judge';
import { ageingSeries, ageingToStore } from './ageScore';
import { litresUntilThin, stateTrends } from './stateTrends';

const vehicle = { ...CAR, spec: { ...CAR.spec, battery: { ...CAR.spec.battery, ratedA: 600 } } };
const dates = ['2023-01-10', '2023-07-10', '2024-01-10', '2024-07-10', '2025-01-10'];
const moments = dates.map((date, n) => ({
  id: `v${n}`,
  startedAt: `${date}T08:00:00.000Z`,
  meter: 10_000 * (n + 1),
  meterAnswer: null,
  ambientC: [0, 20, 0, 20, 0][n] ?? null,
}));
const U: Partial<Record<MeasureCode, number>> = { water: 0.25, crank: 15, pressure: 2, level: 0.03, glycol: 1 };
const raw = (measure: MeasureCode, point: PointCode, values: readonly (number | null)[]): RawReading[] =>
  values.flatMap((value, n) =>
    value === null
      ? []
      : [
          {
            inspectionId: `v${n}`,
            point,
            place: '',
            spot: 'whole',
            measure,
            phase: 'found',
            value,
            u: U[measure] ?? 0.1,
          },
        ],
  );
const entry = (at: string, content: LifeEntryContent): LifeEntry => ({
  id: at,
  vehicleId: CAR.id,
  at: `${at}T08:00:00.000Z`,
  meter: null,
  ...content,
});
const trends = (readings: readonly RawReading[], entries: readonly LifeEntry[] = []) =>
  stateTrends({
    vehicle,
    moments,
    raw: readings,
    entries,
    rules: rulesWith(),
    nextVisit: '2025-07-10T08:00:00.000Z',
  });
const only = (...given: Parameters<typeof trends>) => {
  const [one, ...rest] = trends(...given);
  if (!one || rest.length > 0) throw new Error('one trend was wanted');
  return one;
};

describe('shapes of what ages by itself', () => {
  test.each(Object.entries(AGE_SHAPES))(
    '%s: months to loss and back, never falling; its curves are weighed to one',
    (_, shape) => {
      const { curves, lost, monthsAt } = shape;
      expect(curves.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 9);
      for (const curve of curves) {
        for (const months of [0, 1, 12, 40, 100]) expect(monthsAt(curve, lost(curve, months))).toBeCloseTo(months, 5);
        expect(lost(curve, 13)).toBeGreaterThan(lost(curve, 12));
      }
      expect(shape.valueOf(shape.yOf(0.7))).toBeCloseTo(0.7, 12);
    },
  );

  test('brake fluid takes up less each year; a battery loses more each year', () => {
    const year = (shape: (typeof AGE_SHAPES)['water' | 'crank'], n: number) => {
      const [curve] = shape.curves;
      return curve ? shape.lost(curve, 12 * n) - shape.lost(curve, 12 * (n - 1)) : NaN;
    };
    expect(year(AGE_SHAPES.water, 4)).toBeLessThan(year(AGE_SHAPES.water, 1));
    expect(year(AGE_SHAPES.crank, 4)).toBeGreaterThan(year(AGE_SHAPES.crank, 1));
    expect(AGE_SHAPES.water.monthsAt({ scale: 4, bend: 50 }, 4.5)).toBe(Infinity);
  });

  test('a misread last time is odd, and moves the forecast less than a sound one would', () => {
    const at = (n: number) => `202${n}-01-10T08:00:00Z`;
    const looks = (last: number) => [1, 1.5, 1.8, last].map((value, n) => ({ at: at(n), value, u: 0.25 }));
    const told = (last: number) => ageForecast(AGE_SHAPES.water, 3, looks(last), null, { bears: 0.2, nextVisit: null });
    const [sound, odd] = [told(2.1), told(0.2)];
    expect(sound.status !== 'needs-readings' && sound.odd).toBeLessThan(0.1);
    expect(odd.status !== 'needs-readings' && odd.odd).toBeGreaterThan(0.6);
  });
});

describe('water in brake fluid', () => {
  const water = raw('water', 'brake.fluid.water', [0.5, 1, 1.5, 1.8, 2.2]);

  test('meets its limit some time ahead, as a range of days, and asks to be looked at before', () => {
    const { forecast, limits, told } = only(water);
    expect(told).toBe('as-read');
    expect(limits.map(({ grade, value }) => [grade, value])).toEqual([
      ['advisory', 1.5],
      ['fail', 3],
    ]);
    if (forecast?.status !== 'running-out') throw new Error(`it said ${forecast?.status}`);
    const { low, mid, high } = forecast.days;
    expect(low).toBeGreaterThan(90);
    expect(mid).toBeGreaterThan(low);
    expect(mid).toBeLessThan(3 * 365);
    expect(high ?? Infinity).toBeGreaterThan(mid ?? 0);
    expect(forecast.lookAgain).toBeGreaterThan(low);
    expect(forecast.lookAgain).toBeLessThan(mid ?? 0);
    expect(forecast.beforeNext).toBeLessThan(0.2);
    const values = forecast.path.map(({ value }) => value);
    expect([...values].sort((a, b) => a - b)).toEqual(values);
  });

  test('a bleed begins a new fill, told by its job or by the reading itself', () => {
    const bled = entry('2024-12-01', { kind: 'job', job: { code: 'brake-fluid', name: '' }, ...NO_DETAILS });
    const readings = raw('water', 'brake.fluid.water', [1, 1.8, 2.2, 2.5, 0.5]);
    const [told, seen] = [only(readings, [bled]), only(readings)];
    expect(told.readings.map(({ startsLine }) => startsLine)).toEqual([false, false, false, false, true]);
    expect(seen.readings.at(-1)?.startsLine).toBe(true);
    expect(told.forecast).toMatchObject({ from: 'readings' });
    expect(seen.forecast).toMatchObject({ from: 'fleet' });
    expect(told.forecast?.status === 'running-out' && told.forecast.days.low).toBeGreaterThan(365);
  });

  test('over the limit is told as such, and nothing read wants a reading', () => {
    expect(only(raw('water', 'brake.fluid.water', [2, 2.6, 3.2])).forecast?.status).toBe('reached');
    expect(ageForecast(AGE_SHAPES.water, 3, [], null, { bears: 0.2, nextVisit: null })).toEqual({
      status: 'needs-readings',
      have: 0,
      want: 1,
    });
  });
});

describe('a battery', () => {
  const fitted = entry('2020-01-10', { kind: 'fit', what: 'battery', place: '', fresh: null, note: '' });
  const crank = (...amps: (number | null)[]) => raw('crank', 'battery.crank', amps);

  test('is a share of its rating; one that has begun to fall goes sooner than one that has not', () => {
    const [fading, sound] = [
      only(crank(560, 545, 520, 490, 450), [fitted]),
      only(crank(585, 580, 576, 570, 566), [fitted]),
    ];
    expect(fading.readings[0]?.value).toBeCloseTo(560 / 600, 9);
    const mid = ({ forecast }: typeof fading) =>
      (forecast?.status === 'running-out' ? forecast.days.mid : Infinity) ?? Infinity;
    expect(mid(fading)).toBeLessThan(mid(sound));
    expect(mid(fading)).toBeLessThan(2 * 365);
  });

  test('read without charge says nothing of its health', () => {
    const flat = raw('rest-voltage', 'battery.rest', [null, null, null, null, 12.1]);
    expect(only([...crank(560, 555, 550, 545, 300), ...flat]).readings).toHaveLength(4);
  });

  test('of no rating has no trend', () => {
    expect(
      stateTrends({
        vehicle: CAR,
        moments,
        raw: crank(500),
        entries: [],
        rules: rulesWith(),
        nextVisit: null,
      }),
    ).toEqual([]);
  });
});

test('what its kind’s ranges held counts for what ages too: told wider, about the same middle, and said', () => {
  const readings = raw('water', 'brake.fluid.water', [0.5, 1, 1, 1.5, 1.5]);
  const told = (fleet: FleetKnowledge) => {
    const [trend] = stateTrends({
      vehicle,
      moments,
      raw: readings,
      entries: [],
      rules: rulesWith(),
      nextVisit: null,
      fleet,
    });
    if (trend?.forecast?.status !== 'running-out') throw new Error('a forecast was wanted');
    return trend.forecast;
  };
  const plain = told(BUILT_IN_FLEET);
  const wide = told({
    ...BUILT_IN_FLEET,
    widths: { water: { scored: 40, width: 1.4 } },
    held: { water: { parts: 40, held: 0.6 } },
  });
  expect(wide.days.mid).toBe(plain.days.mid);
  expect(wide.days.low).toBeLessThan(plain.days.low);
  expect(wide.lookAgain).toBeLessThan(plain.lookAgain);
  expect(wide.path[8]?.half).toBeCloseTo(1.4 * (plain.path[8]?.half ?? NaN), 9);
  expect([plain.held, wide.held]).toEqual([undefined, 0.6]);
  expect(wide.daySteps).toEqual(plain.daySteps);
});

describe('pressures, levels and mixtures', () => {
  test('a cold day is no loss: pressures are told at 20 °C', () => {
    const { readings, lostPerMonth, told } = only(raw('pressure', 'tyre.pressure', [216, 240, 216, 240, 216]));
    expect(told).toBe('at-20');
    expect(
      Math.max(...readings.map(({ value }) => value)) - Math.min(...readings.map(({ value }) => value)),
    ).toBeLessThan(2);
    expect(lostPerMonth).toBeNull();
  });

  test('a loss is told from where it was last put right', () => {
    const found = raw('pressure', 'tyre.pressure', [240, 210, 200, 236, null]);
    const left = { ...(found[2] as RawReading), phase: 'left', value: 240 } as const;
    const trend = only([...found, left]);
    expect(trend.readings.map(({ phase, startsLine }) => [phase, startsLine])).toEqual([
      ['found', false],
      ['found', false],
      ['found', false],
      ['left', true],
      ['found', false],
    ]);
    // Left with 240 kPa at 0 °C, found with 236 at 20 °C half a year later.
    expect(trend.lostPerMonth).toBeGreaterThan(3);
    expect(trend.lostPerMonth).toBeLessThan(6);
  });

  test('a thinned coolant changes by what is put in, never by itself', () => {
    const { forecast, lostPerMonth } = only(raw('glycol', 'coolant.strength', [50, 48, 44, 40, 37]));
    expect(forecast).toBeNull();
    expect(lostPerMonth).toBeGreaterThan(0.3);
    expect(litresUntilThin(40, 25, 8)).toBeCloseTo(8 * Math.log(1.6), 9);
    expect(litresUntilThin(24, 25, 8)).toBe(0);
    expect(() => litresUntilThin(40, 25, 0)).toThrow(RangeError);
  });

  test('the most urgent comes first; a spare nobody drives on and readings of no visit are left out', () => {
    const all = trends([
      ...raw('level', 'oil.level', [0.8, 0.8, 0.8]),
      ...raw('pressure', 'tyre.pressure', [240, null, 180]),
      ...raw('water', 'brake.fluid.water', [1, 2, 2.8]),
      ...raw('pressure', 'walk.spare', [240, 180]),
      { ...(raw('water', 'brake.fluid.water', [9])[0] as RawReading), inspectionId: 'nowhere' },
    ]);
    expect(all.map(({ measure }) => measure)).toEqual(['water', 'pressure', 'level']);
  });
});

describe('the score of what ages', () => {
  const values = [0.5, 1, 1.5, 1.8, 3.2];
  const upTo = (n: number) => only(raw('water', 'brake.fluid.water', values.slice(0, n)));
  const stored = ageingToStore(CAR, upTo(3));

  test('a forecast goes on record in days, and is judged when the limit has come', () => {
    if (!stored) throw new Error('a forecast was wanted');
    const judged = judge(
      stored,
      [ageingSeries(upTo(5))].flatMap((one) => one ?? []),
    );
    expect(judged.fate).toBe('arrived');
    // On the line of 1.5, 1.8 and 3.2, half a year apart each: 2.17 in July, 0.85 more by January, 3.0 shortly before.
    expect(Math.abs(judged.leftDays - 362)).toBeLessThan(1);
    expect(judged.left).toBeCloseTo(judged.leftDays, 6);
    expect(
      judge(
        stored,
        [ageingSeries(upTo(4))].flatMap((one) => one ?? []),
      ).fate,
    ).toBe('waiting');
  });

  test('a limit met exactly is met', () => {
    if (!stored) throw new Error('a forecast was wanted');
    const met = ageingSeries(only(raw('water', 'brake.fluid.water', [0.5, 1, 1.5, 1.8, 3])));
    expect(met && judge(stored, [met]).fate).toBe('arrived');
  });

  test('a bleed before the limit is a replacement', () => {
    const bled = ageingSeries(only(raw('water', 'brake.fluid.water', [0.5, 1, 2.2, 2.5, 0.4])));
    const before = ageingToStore(CAR, only(raw('water', 'brake.fluid.water', [0.5, 1, 2.2, 2.5])));
    expect(before && bled && judge(before, [bled]).fate).toBe('replaced');
  });

  test('what goes both ways, or is past its limit, has nothing to judge', () => {
    expect(ageingSeries(only(raw('glycol', 'coolant.strength', [50, 48])))).toBeNull();
    expect(ageingToStore(CAR, only(raw('glycol', 'coolant.strength', [50, 48])))).toBeNull();
    expect(ageingToStore(CAR, upTo(5))).toBeNull();
  });
});
