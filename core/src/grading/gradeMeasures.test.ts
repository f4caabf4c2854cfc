import fc from 'fast-check';
import { LAMPS } from '../catalogue/counted';
import { cataloguePoint, type PointCode } from '../catalogue/catalogue';
import { MEASURES, type MeasureCode } from '../catalogue/measures';

import type { FindingChange } from '../inspection/finding';
import type { HouseRules } from '../house/houseRules';
import type { Vehicle, Place } from '../vehicle/vehicle';
import { tapeThresholds } from './tapeThresholds';
import {
  CAR,
  MINIBUS,
  contextOf,
  findingOf,
  inspectionOf,
  leakOf,
  readingOf,
  rulesWith,
  treadOf,
} from '../tests/builders';
import { GRADES } from './grade';
import { basisOf, gradePoint } from './gradePoint';
import { judgeBound } from './judgeBound';
import { tyreAgeYears } from './tyreAge';
import { verdictOf } from './verdict';

/** A car whose spec sheet is filled in. */
const SPECIFIED: Vehicle = {
  ...CAR,
  axles: CAR.axles.map((axle) => ({ ...axle, discMinimumMm: 20, liningNewMm: 10 })),
  spec: { ...CAR.spec, battery: { type: 'flooded', ratedA: 600, standard: 'EN' }, brakeFluid: 'DOT 4' },
};

interface Given {
  readonly vehicle?: Vehicle;
  readonly house?: Partial<HouseRules>;
  readonly change?: FindingChange;
  readonly others?: ReturnType<typeof findingOf>[];
}

function graded(point: PointCode, place: Place, measure: MeasureCode, value: number, given: Given = {}) {
  const { vehicle = SPECIFIED, house = {}, change = {}, others = [] } = given;
  const finding = findingOf(point, place, { readings: [readingOf(measure, value)], ...change });
  return gradePoint({ point, place }, contextOf(vehicle, [finding, ...others], { rules: rulesWith(house) }));
}

const withSpec = (change: Partial<Vehicle['spec']>): Vehicle => ({
  ...SPECIFIED,
  spec: { ...SPECIFIED.spec, ...change },
});
const withAxles = (vehicle: Vehicle, change: Partial<Vehicle['axles'][number]>): Vehicle => ({
  ...vehicle,
  axles: vehicle.axles.map((axle) => ({ ...axle, ...change })),
});
const SMART = withSpec({ smartCharging: true });
const TWENTY_FOUR = withSpec({ systemVolts: 24 });
const PERCENT = { liningAs: 'percent' } as const;

describe('the baseline’s rows at their edges', () => {
  test.each([
    ['shoe', '1L', 'shoe', 2.5, 'pass', {}],
    ['shoe', '1L', 'shoe', 2.4, 'advisory', {}],
    ['shoe', '1L', 'shoe', 1.4, 'fail', {}],
    ['shoe', '1L', 'shoe', 3.9, 'advisory', { house: PERCENT }],
    ['shoe', '1L', 'shoe', 1.9, 'fail', { house: PERCENT }],
    ['pad.outer', '1L', 'lining', 3.5, 'pass', { house: { ...PERCENT } }],
    ['pad.outer', '1L', 'lining', 2.9, 'advisory', { house: PERCENT }],
    ['disc', '1L', 'disc', 20.5, 'pass', {}],
    ['disc', '1L', 'disc', 20.4, 'advisory', {}],
    ['disc', '1L', 'disc', 19.9, 'fail', {}],
    ['disc', '1L', 'disc-lip', 0.9, 'pass', {}],
    ['disc', '1L', 'disc-lip', 1, 'advisory', {}],
    ['brake.fluid.water', '', 'water-band', 0, 'pass', {}],
    ['brake.fluid.water', '', 'water-band', 1, 'advisory', {}],
    ['brake.fluid.water', '', 'water-band', 2, 'fail', {}],
    ['brake.fluid.water', '', 'boiling', 180, 'pass', {}],
    ['brake.fluid.water', '', 'boiling', 179, 'advisory', {}],
    ['brake.fluid.water', '', 'boiling', 154, 'fail', {}],
    ['brake.fluid.water', '', 'boiling', 139, 'fail', { vehicle: withSpec({ brakeFluid: 'DOT 3' }) }],
    ['brake.fluid.water', '', 'boiling', 155, 'advisory', { vehicle: withSpec({ brakeFluid: 'DOT 3' }) }],
    ['brake.fluid.water', '', 'boiling', 200, 'advisory', { vehicle: withSpec({ brakeFluid: 'DOT 5.1' }) }],
    ['coolant.strength', '', 'glycol', 50, 'pass', {}],
    ['coolant.strength', '', 'glycol', 46, 'advisory', {}],
    ['coolant.strength', '', 'glycol', 66, 'advisory', {}],
    ['coolant.strength', '', 'glycol', 38, 'fail', {}],
    ['coolant.strength', '', 'freeze', -35, 'pass', {}],
    ['coolant.strength', '', 'freeze', -34, 'advisory', {}],
    ['coolant.strength', '', 'freeze', -24, 'fail', {}],
    ['coolant.strength', '', 'freeze', -24, 'pass', { house: { designLowC: -10 } }],
    ['washer.level', '', 'level', 0.2, 'advisory', {}],
    ['washer.level', '', 'level', -0.1, 'advisory', {}],
    ['washer.level', '', 'level', 1.5, 'pass', {}],
    ['battery.rest', '', 'rest-voltage', 12.4, 'pass', {}],
    ['battery.rest', '', 'rest-voltage', 12.39, 'advisory', {}],
    ['battery.rest', '', 'rest-voltage', 11.99, 'fail', {}],
    ['battery.rest', '', 'rest-voltage', 24.8, 'pass', { vehicle: TWENTY_FOUR }],
    ['battery.rest', '', 'rest-voltage', 23.9, 'fail', { vehicle: TWENTY_FOUR }],
    ['charge.voltage', '', 'charge-voltage', 13.5, 'pass', {}],
    ['charge.voltage', '', 'charge-voltage', 13.4, 'advisory', {}],
    ['charge.voltage', '', 'charge-voltage', 14.9, 'advisory', {}],
    ['charge.voltage', '', 'charge-voltage', 15.3, 'fail', {}],
    ['charge.voltage', '', 'charge-voltage', 12.9, 'fail', {}],
    ['charge.voltage', '', 'charge-voltage', 12.9, 'pass', { vehicle: SMART }],
    ['charge.voltage', '', 'charge-voltage', 12.1, 'advisory', { vehicle: SMART }],
    ['charge.voltage', '', 'charge-voltage', 11.7, 'fail', { vehicle: SMART }],
    ['charge.voltage', '', 'charge-voltage', 15.6, 'fail', { vehicle: SMART }],
    ['charge.voltage', '', 'charge-voltage', 30.5, 'fail', { vehicle: TWENTY_FOUR }],
    ['cabin.oillamp', '', 'seconds', 5, 'pass', {}],
    ['cabin.oillamp', '', 'seconds', 6, 'advisory', {}],
    ['cabin.oillamp', '', 'seconds', 11, 'fail', {}],
    ['rod.end', '1L', 'play', 0, 'pass', {}],
    ['rod.end', '1L', 'play', 1, 'advisory', {}],
    ['rod.end', '1L', 'play', 2, 'fail', {}],
  ] as const)('%s@%s %s %d: %s', (point, place, measure, value, grade, given) => {
    expect(graded(point, place, measure, value, given as Given).grade).toBe(grade);
  });

  test.each([
    ['a disc without a minimum', 'disc', '1L', 'disc', { vehicle: CAR }, 'no-minimum'],
    ['percent without a new value', 'pad.outer', '1L', 'lining', { vehicle: CAR, house: PERCENT }, 'no-new-value'],
    [
      'a lithium battery',
      'battery.rest',
      '',
      'rest-voltage',
      { vehicle: withSpec({ battery: { type: 'lithium', ratedA: null, standard: null } }) },
      'no-row',
    ],
    ['a boiling point of an unknown fluid', 'brake.fluid.water', '', 'boiling', { vehicle: CAR }, 'no-row'],
    ['a hub’s temperature', 'hub.heat', '1L', 'temperature', {}, 'no-row'],
  ] as const)('%s is kept, not judged', (_, point, place, measure, given, why) => {
    const value = measure === 'disc' ? 24 : measure === 'temperature' ? 60 : 12.6;
    const result = graded(point, place, measure, value, given);
    expect(result.reasons).toContainEqual(expect.objectContaining({ rule: 'no-limit', why, grade: 'recorded' }));
    expect(result.grade).not.toBe('fail');
    expect(['recorded', 'pass']).toContain(result.grade);
  });
});

describe('cranking current', () => {
  const rest = (volts: number) => [findingOf('battery.rest', '', { readings: [readingOf('rest-voltage', volts)] })];
  const crank = (amperes: number, standard: 'EN' | 'SAE' | null, volts: number, vehicle = SPECIFIED) =>
    graded('battery.crank', '', 'crank', amperes, {
      vehicle,
      change: { readings: [readingOf('crank', amperes)], standard },
      others: rest(volts),
    });
  test.each([
    [480, 'EN', 12.4, 'pass', undefined],
    [479, 'EN', 12.4, 'advisory', undefined],
    [359, 'EN', 12.6, 'fail', undefined],
    [600, 'SAE', 12.6, 'recorded', 'other-standard'],
    [600, null, 12.6, 'recorded', 'other-standard'],
    [300, 'EN', 12.3, 'recorded', 'not-charged'],
  ] as const)('%d A by %s at %d V rest: %s', (amperes, standard, volts, grade, why) => {
    const result = crank(amperes, standard, volts);
    expect(result.grade).toBe(grade);
    if (why) expect(result.reasons[0]).toMatchObject({ why });
  });
  test('without a rating it is recorded; a 24 V battery rests at the double', () => {
    expect(crank(480, 'EN', 12.6, CAR).reasons[0]).toMatchObject({ why: 'no-rated-value' });
    expect(crank(359, 'EN', 24.6, TWENTY_FOUR).reasons[0]).toMatchObject({ why: 'not-charged' });
    expect(crank(359, 'EN', 24.9, TWENTY_FOUR).grade).toBe('fail');
  });
});

describe('tyre age', () => {
  const aged = (week: number, vehicle: Vehicle, place: Place) =>
    graded('tyre.age', place, 'tyre-age', week, { vehicle }).grade;
  const single = withAxles(MINIBUS, { dual: false });
  test.each<[string, number, Vehicle, Place, string]>([
    ['under six years', 202030, CAR, '1L', 'pass'],
    ['six years', 202022, CAR, '1L', 'advisory'],
    ['ten years on a car stay advice', 201001, CAR, '1L', 'advisory'],
    ['ten years on a minibus’s front axle', 201601, MINIBUS, '1L', 'fail'],
    ['its dual rear wheels', 201601, MINIBUS, '2Lo', 'advisory'],
    ['its single rear wheels', 201601, single, '2L', 'fail'],
    ['nine years on a bus’s front axle', 201701, { ...MINIBUS, class: 'bus' as const }, '1R', 'advisory'],
  ])('%s: %d', (_, week, vehicle, place, grade) => expect(aged(week, vehicle, place)).toBe(grade));

  test('a three-digit code is a bound: over six and over ten, never a number', () => {
    const readings = [{ ...readingOf('tyre-age', 199952), bound: 'under' as const }];
    const result = gradePoint(
      { point: 'tyre.age', place: '1L' },
      contextOf(MINIBUS, [findingOf('tyre.age', '1L', { readings })]),
    );
    expect(result.grade).toBe('fail');
  });
  test('weeks begin on Monday of the ISO week', () => {
    expect(tyreAgeYears(202601, '2025-12-29T00:00:00Z')).toBeCloseTo(0, 9);
    expect(tyreAgeYears(202005, '2026-02-02T00:00:00Z')).toBeCloseTo(6.015, 2);
  });
});

describe('bounds are never turned into a number', () => {
  const bar = (flush: boolean, vehicle: Vehicle, house: Partial<HouseRules> = {}) => {
    const readings = treadOf(1.6, 1.6, 1.6).map((reading) => ({
      ...reading,
      bound: flush ? ('under' as const) : ('over' as const),
    }));
    return gradePoint(
      { point: 'tyre.tread', place: '1L' },
      contextOf(vehicle, [findingOf('tyre.tread', '1L', { readings })], { rules: rulesWith(house) }),
    );
  };
  test('a flush bar fails where the limit is the bar’s, and is advised where it is lower', () => {
    expect(bar(true, CAR).grade).toBe('fail');
    expect(bar(true, MINIBUS).grade).toBe('advisory');
  });
  test('not flush is no fail, but no pass either until it is measured; under the bars school it passes', () => {
    expect(bar(false, CAR)).toMatchObject({ grade: 'recorded' });
    expect(bar(false, CAR).reasons[0]).toMatchObject({ rule: 'undecided', bound: 'over', value: 1.6 });
    expect(bar(false, CAR, { treadAs: 'bars' }).grade).toBe('pass');
  });

  test('what is sure, clear and open, on both sides', () => {
    const edge = (grade: 'advisory' | 'fail', bad: 'below' | 'above', value: number) =>
      ({ grade, bad, value, inclusive: false, basis: 'house', source: '' }) as const;
    const edges = [edge('advisory', 'below', 3), edge('fail', 'below', 1.6), edge('fail', 'above', 9)];
    expect(judgeBound(2, 'under', edges)).toMatchObject({ crossed: { value: 3 }, undecided: { value: 1.6 } });
    expect(judgeBound(2, 'over', edges)).toMatchObject({ crossed: null, undecided: { grade: 'fail', value: 9 } });
    expect(judgeBound(10, 'over', edges)).toMatchObject({ crossed: { value: 9 }, undecided: null });
    expect(judgeBound(1, 'under', edges).crossed).toMatchObject({ grade: 'fail', value: 1.6 });
  });
});

describe('more of the rules', () => {
  test('winter tyres want more in season only', () => {
    const winter: Vehicle = { ...CAR, makeUp: { ...CAR.makeUp, winterTyres: true } };
    const tread = (startedAt: string, vehicle: Vehicle) =>
      gradePoint(
        { point: 'tyre.tread', place: '1L' },
        contextOf(vehicle, [findingOf('tyre.tread', '1L', { readings: treadOf(3.5, 3.5, 3.5) })], {
          inspection: inspectionOf(vehicle, { startedAt }),
        }),
      ).grade;
    expect([
      tread('2026-01-10T08:00:00Z', winter),
      tread('2026-06-10T08:00:00Z', winter),
      tread('2026-01-10T08:00:00Z', CAR),
    ]).toEqual(['advisory', 'pass', 'pass']);
  });

  test('front against rear counts on permanent four-wheel drive', () => {
    const four: Vehicle = { ...CAR, makeUp: { ...CAR.makeUp, drive: 'four-permanent' } };
    const findings = [
      findingOf('tyre.tread', '1L', { readings: treadOf(5, 5, 5) }),
      findingOf('tyre.tread', '2L', { readings: treadOf(7, 7, 7) }),
    ];
    const at = (vehicle: Vehicle) => gradePoint({ point: 'tyre.tread', place: '1L' }, contextOf(vehicle, findings));
    expect(at(four).reasons[0]).toMatchObject({ kind: 'front-rear', value: 2, grade: 'advisory' });
    expect(at(CAR).grade).toBe('pass');
  });

  test('full load has its own placard, and a measured tyre temperature judges a warm tyre', () => {
    const pressure = (kpa: number, change: object, readings: ReturnType<typeof readingOf>[] = []) =>
      gradePoint(
        { point: 'tyre.pressure', place: '2L' },
        contextOf(CAR, [findingOf('tyre.pressure', '2L', { readings: [readingOf('pressure', kpa), ...readings] })], {
          inspection: inspectionOf(CAR, change),
        }),
      ).grade;
    expect([pressure(280, { load: 'full' }), pressure(280, {}), pressure(220, { load: 'full' })]).toEqual([
      'pass',
      'advisory',
      'fail',
    ]);
    expect(pressure(242, { state: 'hot' })).toBe('recorded');
    expect(pressure(242, { state: 'hot' }, [readingOf('temperature', 40)])).toBe('pass');
  });

  test('the house grades a damp seal at once, or watches it', () => {
    const damp = (dampSeal: 'watch' | 'advisory') =>
      gradePoint(
        { point: 'leak.engine', place: '' },
        contextOf(CAR, [findingOf('leak.engine', '', { leaks: [leakOf({ stage: 'damp' })] })], {
          rules: rulesWith({ dampSeal }),
        }),
      );
    expect(damp('watch')).toMatchObject({ grade: 'pass', watch: true });
    expect(damp('advisory')).toMatchObject({ grade: 'advisory', watch: false });
  });

  test('several leaks on one point: the worst counts', () => {
    const leaks = [leakOf({ stage: 'stain' }), leakOf({ stage: 'drip', place: 'drain-plug' })];
    expect(
      gradePoint({ point: 'leak.engine', place: '' }, contextOf(CAR, [findingOf('leak.engine', '', { leaks })])).grade,
    ).toBe('fail');
  });

  test('the same word weighs by what it is seen on', () => {
    const word = (point: PointCode, place: Place) =>
      gradePoint({ point, place }, contextOf(CAR, [findingOf(point, place, { words: ['cracked'] })])).reasons.find(
        ({ rule }) => rule === 'word',
      )?.grade;
    expect([word('hose.coolant.top', ''), word('disc', '1L')]).toEqual(['advisory', 'fail']);
  });

  test('a major inspection asks for ages that are an extra elsewhere', () => {
    const finding = findingOf('cabin.filter', '');
    const under = (template: string) =>
      gradePoint({ point: 'cabin.filter', place: '' }, contextOf(CAR, [finding], { rules: rulesWith({}, template) }))
        .grade;
    expect([under('full'), under('major')]).toEqual(['pass', 'not-seen']);
  });

  test('of several ways to measure one is enough, none is a gap', () => {
    const strength = (readings: ReturnType<typeof readingOf>[]) =>
      gradePoint(
        { point: 'coolant.strength', place: '' },
        contextOf(CAR, [findingOf('coolant.strength', '', { readings })]),
      );
    expect(strength([]).reasons[0]).toMatchObject({ rule: 'reading-missing', measures: ['glycol', 'freeze'] });
    expect([strength([readingOf('glycol', 50)]).grade, strength([readingOf('freeze', -40)]).grade]).toEqual([
      'pass',
      'pass',
    ]);
  });
});

describe('counts and codes', () => {
  const counted = (point: PointCode, place: Place, change: FindingChange) =>
    gradePoint({ point, place }, contextOf(CAR, [findingOf(point, place, change)]));
  test.each(LAMPS.map((lamp) => [lamp]))('a %s lamp out', (lamp) => {
    const result = counted('walk.lamps', '', { counts: [{ item: lamp, good: 0, of: 2, found: null, out: [] }] });
    expect(result.grade).toBe(['high-brake', 'reverse', 'daylight'].includes(lamp) ? 'advisory' : 'fail');
    expect(counted('walk.lamps', '', { counts: [{ item: lamp, good: 2, of: 2, found: null, out: [] }] }).grade).toBe(
      'pass',
    );
  });
  test('a wheel bolt missing fails, a tray fastener is advised, uncounted is not seen', () => {
    const short = [{ item: 'all', good: 4, of: 5, found: null, out: [] }] as const;
    expect(counted('wheel.bolts', '1L', { counts: short }).grade).toBe('fail');
    expect(counted('tray.fasteners', '', { counts: short }).grade).toBe('advisory');
    expect(counted('tray.fasteners', '', {}).grade).toBe('not-seen');
  });
  test('codes: a stored one is advised, a pending one recorded, one that returned fails, none read is sound', () => {
    const code = (state: 'stored' | 'pending' | 'returned') =>
      counted('cabin.codes', '', { codes: [{ code: 'A 12', text: '', state }] }).grade;
    expect([code('stored'), code('pending'), code('returned')]).toEqual(['advisory', 'recorded', 'fail']);
    expect(counted('cabin.codes', '', {}).grade).toBe('pass');
  });
});

describe('a person’s own grade', () => {
  const worn = (override: FindingChange['override']) =>
    gradePoint(
      { point: 'tyre.tread', place: '1L' },
      contextOf(CAR, [findingOf('tyre.tread', '1L', { readings: treadOf(1, 5, 5), override: override ?? null })]),
    );
  test('counts, and the computed one stays beside it', () => {
    expect(worn({ grade: 'advisory', reason: 'replaced tomorrow' })).toMatchObject({
      grade: 'advisory',
      computed: 'fail',
      failsLaw: true,
    });
    expect(worn(null)).toMatchObject({ grade: 'fail', computed: 'fail', override: null });
  });
  test('on whose authority', () => {
    expect(basisOf(worn(null).reasons[0]!)).toBe('law');
    expect(basisOf({ rule: 'sound', grade: 'pass' })).toBeNull();
  });
});

describe('the verdict by system', () => {
  test('each takes the worst of its own points, and says what it has not seen', () => {
    const verdict = verdictOf(
      contextOf(CAR, [
        findingOf('belt.aux', '', { words: ['frayed'] }),
        findingOf('hose.coolant.top', ''),
        findingOf('walk.glass', '', { words: ['chip'] }),
      ]),
    );
    const of = (system: string) => verdict.systems.find((one) => one.system === system);
    expect([of('engine')?.grade, of('cooling')?.grade, of('body')?.grade, of('tyres')?.grade]).toEqual([
      'fail',
      'pass',
      'not-seen',
      'not-seen',
    ]);
    expect(of('body')?.counts.recorded).toBe(1);
    const total = verdict.systems.reduce((sum, { counts }) => sum + counts['not-seen'], 0);
    expect(total).toBe(verdict.counts['not-seen']);
  });
});

describe('properties over every graded measure', () => {
  const cases = [
    ['pad.outer', '1L', 'lining', 'below'],
    ['shoe', '1L', 'shoe', 'below'],
    ['disc', '1L', 'disc', 'below'],
    ['battery.rest', '', 'rest-voltage', 'below'],
    ['brake.fluid.water', '', 'water', 'above'],
    ['brake.fluid.water', '', 'boiling', 'below'],
    ['coolant.strength', '', 'freeze', 'above'],
    ['cabin.oillamp', '', 'seconds', 'above'],
    ['disc', '1L', 'disc-lip', 'above'],
  ] as const;
  const rank = (grade: (typeof GRADES)[number]) => GRADES.indexOf(grade);

  test.each(cases)(
    '%s@%s %s: worse never grades better, guarded never passes what plain does not',
    (point, place, measure, bad) => {
      const [low, high] = {
        lining: [0, 12],
        shoe: [0, 8],
        disc: [15, 30],
        'rest-voltage': [11, 13],
        water: [0, 6],
        boiling: [120, 250],
        freeze: [-50, 0],
        seconds: [0, 20],
        'disc-lip': [0, 3],
      }[measure] as [number, number];
      const value = fc.double({ min: low, max: high, noNaN: true });
      fc.assert(
        fc.property(value, value, (a, b) => {
          const [less, more] = a < b ? [a, b] : [b, a];
          const [worse, better] = bad === 'below' ? [less, more] : [more, less];
          expect(rank(graded(point, place, measure, worse).grade)).toBeGreaterThanOrEqual(
            rank(graded(point, place, measure, better).grade),
          );
          const guarded = graded(point, place, measure, a, { house: { nearLimit: 'guarded' } }).grade;
          const plain = graded(point, place, measure, a).grade;
          expect(rank(guarded)).toBeGreaterThanOrEqual(rank(plain));
          expect(guarded === 'fail').toBe(plain === 'fail');
        }),
      );
    },
  );

  test('missing never passes: what was looked at without its wanted reading, count or leak is not seen', () => {
    let wanting = 0;
    for (const { point, place } of verdictOf(contextOf(SPECIFIED, [])).points) {
      const grade = (findings: ReturnType<typeof findingOf>[]) =>
        gradePoint({ point, place }, contextOf(SPECIFIED, findings)).grade;
      expect(grade([])).toBe('not-seen');
      const { measures, leakWanted, counted, vocabulary } = cataloguePoint(point);
      const figuresOnly = measures.length > 0 && vocabulary === null;
      const wants = leakWanted || counted !== null || figuresOnly || measures.some(({ need }) => need !== 'extra');
      // Wear that was not measured is noted, and never a pass.
      const unmeasured = measures.some(({ measure }) => MEASURES[measure].nature === 'wear') ? 'recorded' : 'pass';
      expect([point, grade([findingOf(point, place)])]).toEqual([point, wants ? 'not-seen' : unmeasured]);
      wanting += wants ? 1 : 0;
    }
    expect(wanting).toBeGreaterThan(60);
  });
});

test('the tape shows a limit where crossing it changes the grade', () => {
  const edges = (point: PointCode, place: Place, measure: MeasureCode, house = {}) =>
    tapeThresholds({ point, place }, measure, contextOf(SPECIFIED, [], { rules: rulesWith(house) })).map(
      ({ value }) => value,
    );
  expect(edges('disc', '1L', 'disc')).toEqual([20.5, 20]);
  expect(edges('coolant.strength', '', 'freeze')).toEqual([-35, -25]);
  expect(edges('battery.crank', '', 'crank')).toEqual([480, 360]);
  expect(edges('pad.outer', '1L', 'lining', PERCENT)).toEqual([3.5, 1.5, 3, 1.5]);
  expect(edges('hub.heat', '1L', 'temperature')).toEqual([]);
});
