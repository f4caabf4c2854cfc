import type { Place } from '../vehicle/vehicle';
import fc from 'fast-check';
import { FLUIDS, LEAK_STAGES } from '../catalogue/leaks';
import { BASELINE } from '../limits/baseline';
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
import { tapeThresholds } from './tapeThresholds';
import type { GradingContext } from './compared';
import { gradeAtSpot, gradePoint } from './gradePoint';
import { verdictOf, worstFirst } from './verdict';

const rank = (grade: (typeof GRADES)[number]) => GRADES.indexOf(grade);
const tread = (
  vehicle: typeof CAR,
  outer: number,
  centre: number,
  inner: number,
  change: Partial<GradingContext> = {},
) =>
  gradePoint(
    { point: 'tyre.tread', place: '1L' },
    contextOf(vehicle, [findingOf('tyre.tread', '1L', { readings: treadOf(outer, centre, inner) })], change),
  );

describe('tread', () => {
  test.each([
    ['car, all deep', CAR, [6, 6, 6], 'pass'],
    ['car, at the advisory limit is not under it', CAR, [3, 4, 4], 'pass'],
    ['car, smallest of three counts', CAR, [4, 4, 2.9], 'advisory'],
    ['car, at the legal limit is not under it', CAR, [1.6, 1.7, 1.7], 'advisory'],
    ['car, under the legal limit', CAR, [1.5, 2, 2], 'fail'],
    ['minibus has the 1.0 mm limit', MINIBUS, [1.5, 1.5, 1.5], 'advisory'],
    ['minibus, under 1.0', MINIBUS, [0.9, 1.5, 1.5], 'fail'],
    ['spread of 1.5 across one tyre', CAR, [5, 5, 6.5], 'advisory'],
    ['spread of 1.4', CAR, [5, 5, 6.4], 'pass'],
    ['spread whose binary difference is a hair under 1.5', CAR, [5.3, 3.8, 5], 'advisory'],
  ] as const)('%s', (_, vehicle, [outer, centre, inner], grade) => {
    expect(tread(vehicle, outer, centre, inner).grade).toBe(grade);
  });

  test('one place not read is a gap, never a pass', () => {
    const finding = findingOf('tyre.tread', '1L', { readings: treadOf(6, 6, 6).slice(0, 2) });
    const result = gradePoint({ point: 'tyre.tread', place: '1L' }, contextOf(CAR, [finding]));
    expect(result.grade).toBe('not-seen');
    expect(result.reasons[0]).toMatchObject({ rule: 'reading-missing', spots: ['inner'] });
  });

  test('a gap does not hide a fail', () => {
    const finding = findingOf('tyre.tread', '1L', { readings: treadOf(1, 6, 6).slice(0, 1) });
    expect(gradePoint({ point: 'tyre.tread', place: '1L' }, contextOf(CAR, [finding])).grade).toBe('fail');
  });

  test('the reason names value, limit and source', () => {
    expect(tread(CAR, 1.5, 6, 6).reasons[0]).toMatchObject({
      rule: 'limit',
      grade: 'fail',
      spot: 'outer',
      value: 1.5,
      threshold: { value: 1.6, basis: 'law' },
    });
  });

  test('near a limit it is a close call, and repeats shrink it', () => {
    expect(tread(CAR, 3.1, 6, 6).closeCall).toBe(true);
    expect(tread(CAR, 3.4, 4, 4).closeCall).toBe(false);
    const readings = [readingOf('tread', [3.1, 3.2, 3.1, 3.2], 'outer'), ...treadOf(0, 4, 4).slice(1)];
    expect(
      gradePoint({ point: 'tyre.tread', place: '1L' }, contextOf(CAR, [findingOf('tyre.tread', '1L', { readings })]))
        .closeCall,
    ).toBe(false);
  });

  test('worse tread never earns a better grade', () => {
    const mm = fc.integer({ min: 0, max: 120 }).map((tenths) => tenths / 10);
    fc.assert(
      fc.property(mm, mm, (a, b) => {
        const [worse, better] = a < b ? [a, b] : [b, a];
        expect(rank(tread(CAR, worse, worse, worse).grade)).toBeGreaterThanOrEqual(
          rank(tread(CAR, better, better, better).grade),
        );
      }),
    );
  });

  test('the guarded rule never passes what the plain one does not, and leaves the fail limit', () => {
    const mm = fc.integer({ min: 0, max: 100 }).map((tenths) => tenths / 10);
    fc.assert(
      fc.property(mm, (value) => {
        const plain = tread(CAR, value, value, value).grade;
        const guarded = tread(CAR, value, value, value, { rules: rulesWith({ nearLimit: 'guarded' }) }).grade;
        expect(rank(guarded)).toBeGreaterThanOrEqual(rank(plain));
        expect(guarded === 'fail').toBe(plain === 'fail');
      }),
    );
    expect(tread(CAR, 3.1, 3.1, 3.1, { rules: rulesWith({ nearLimit: 'guarded' }) }).grade).toBe('advisory');
  });
});

test('each place of a tread keeps the grade of its own reading', () => {
  const result = tread(CAR, 4.3, 4.4, 2.8);
  expect((['outer', 'centre', 'inner', 'whole'] as const).map((spot) => gradeAtSpot(result, 'tread', spot))).toEqual([
    'pass',
    'pass',
    'advisory',
    'not-seen',
  ]);
});

describe('limits on the tape', () => {
  test('value limits as they are', () => {
    expect(
      tapeThresholds({ point: 'tyre.tread', place: '1L' }, 'tread', contextOf(CAR, [])).map(({ value }) => value),
    ).toEqual([3, 1.6]);
  });

  test('a placard’s shares as the gauge would show them today; where a reading crosses them the grade changes', () => {
    const inspection = inspectionOf(CAR, { ambientC: 0 });
    const edges = tapeThresholds(
      { point: 'tyre.pressure', place: '1L' },
      'pressure',
      contextOf(CAR, [], { inspection }),
    );
    expect(edges.map(({ grade }) => grade)).toEqual(['advisory', 'advisory', 'fail']);
    const grade = (kpa: number) =>
      gradePoint(
        { point: 'tyre.pressure', place: '1L' },
        contextOf(CAR, [findingOf('tyre.pressure', '1L', { readings: [readingOf('pressure', kpa)] })], { inspection }),
      ).grade;
    const [low, , fail] = edges.map(({ value }) => value) as [number, number, number];
    expect([grade(low + 0.01), grade(low - 0.01), grade(fail + 0.01), grade(fail - 0.01)]).toEqual([
      'pass',
      'advisory',
      'advisory',
      'fail',
    ]);
  });

  test.each([{ state: 'hot' as const }, { ambientC: null }])('none where nothing is judged: %j', (change) => {
    const inspection = inspectionOf(CAR, change);
    expect(
      tapeThresholds({ point: 'tyre.pressure', place: '1L' }, 'pressure', contextOf(CAR, [], { inspection })),
    ).toEqual([]);
  });
});

describe('pads', () => {
  const pads = (outer: number, inner: number, otherOuter?: number) => {
    const findings = [
      findingOf('pad.outer', '1L', { readings: [readingOf('lining', outer)] }),
      findingOf('pad.inner', '1L', { readings: [readingOf('lining', inner)] }),
    ];
    if (otherOuter !== undefined)
      findings.push(findingOf('pad.outer', '1R', { readings: [readingOf('lining', otherOuter)] }));
    const context = contextOf(CAR, findings);
    return {
      outer: gradePoint({ point: 'pad.outer', place: '1L' }, context),
      inner: gradePoint({ point: 'pad.inner', place: '1L' }, context),
    };
  };

  test.each([
    [6, 6, 'pass', 'pass'],
    [3.4, 3.4, 'advisory', 'advisory'],
    [6, 1.4, 'advisory', 'fail'],
    [6, 4, 'advisory', 'advisory'],
    [6, 4.5, 'pass', 'pass'],
  ])('outer %d and inner %d mm', (outer, inner, outerGrade, innerGrade) => {
    const result = pads(outer, inner);
    expect([result.outer.grade, result.inner.grade]).toEqual([outerGrade, innerGrade]);
  });

  test('one side wearing alone is told on both sides', () => {
    const { outer } = pads(5, 5, 7.5);
    expect(outer.grade).toBe('advisory');
    expect(outer.reasons[0]).toMatchObject({ kind: 'across', value: 2.5 });
  });
});

describe('pressure, brought to 20 °C and held against the placard', () => {
  const pressure = (kpa: number, change: Parameters<typeof inspectionOf>[1] = {}, place: Place = '1L', vehicle = CAR) =>
    gradePoint(
      { point: 'tyre.pressure', place },
      contextOf(vehicle, [findingOf('tyre.pressure', place, { readings: [readingOf('pressure', kpa)] })], {
        inspection: inspectionOf(vehicle, change),
      }),
    );

  test.each([
    [230, 20, 'pass'],
    [220, 20, 'pass'], // 10 kPa off never counts
    [218, 20, 'advisory'], // 5.2 % and 12 kPa under
    [243, 20, 'advisory'],
    [184, 20, 'fail'], // exactly 20 % under
    [208, 0, 'pass'], // 230.7 kPa at 20 °C
  ])('%d kPa at %d °C: %s', (kpa, ambientC, grade) => {
    expect(pressure(kpa, { ambientC }).grade).toBe(grade);
  });

  test.each([
    ['a warm tyre', { state: 'warm' }, '1L', CAR, 'tyre-not-cold'],
    ['no temperature', { ambientC: null }, '1L', CAR, 'no-temperature'],
    ['no placard', {}, '1L', MINIBUS, 'no-placard'],
  ] as const)('%s is recorded, never graded', (_, change, place, vehicle, why) => {
    const result = pressure(100, change, place, vehicle);
    expect(result.grade).toBe('recorded');
    expect(result.reasons[0]).toMatchObject({ rule: 'no-limit', why });
  });

  test('as found fails, as left passes: corrected, both kept', () => {
    const finding = findingOf('tyre.pressure', '1L', {
      readings: [readingOf('pressure', 150), readingOf('pressure', 230, 'whole', 'left')],
    });
    const result = gradePoint({ point: 'tyre.pressure', place: '1L' }, contextOf(CAR, [finding]));
    expect(result).toMatchObject({ grade: 'pass', asFound: 'fail', corrected: true });
  });
});

describe('levels and brake fluid', () => {
  test.each([
    ['cold.oil', 'level', -0.05, 'fail'],
    ['cold.oil', 'level', 0, 'advisory'],
    ['cold.oil', 'level', 0.25, 'pass'],
    ['cold.oil', 'level', 1.05, 'pass'],
    ['cold.oil', 'level', 1.1, 'advisory'],
    ['cold.oil', 'level', 1.3, 'fail'],
    ['brake.fluid.water', 'water', 1.4, 'pass'],
    ['brake.fluid.water', 'water', 1.5, 'advisory'],
    ['brake.fluid.water', 'water', 3, 'fail'],
  ] as const)('%s %s %d: %s', (point, measure, value, grade) => {
    expect(
      gradePoint(
        { point, place: '' },
        contextOf(CAR, [findingOf(point, '', { readings: [readingOf(measure, value)] })]),
      ).grade,
    ).toBe(grade);
  });
});

describe('leaks', () => {
  const leak = (change: Parameters<typeof leakOf>[0]) =>
    gradePoint(
      { point: 'leak.engine', place: '' },
      contextOf(CAR, [findingOf('leak.engine', '', { leaks: [leakOf(change)] })]),
    );

  test.each([
    ['dry', 'fuel', 'nothing', 'pass', false],
    ['stain', 'engine-oil', 'nothing', 'pass', true],
    ['damp', 'engine-oil', 'nothing', 'pass', true],
    ['damp', 'engine-oil', 'exhaust', 'advisory', false],
    ['drop', 'engine-oil', 'belt', 'fail', false],
    ['stain', 'brake-fluid', 'nothing', 'advisory', false],
    ['damp', 'fuel', 'nothing', 'fail', false],
    ['drop', 'coolant', 'nothing', 'advisory', false],
    ['drip', 'refrigerant-oil', 'nothing', 'advisory', false],
    ['drip', 'water', 'exhaust', 'pass', false],
    ['run', 'washer', 'brake', 'advisory', false],
  ] as const)('%s %s reaching %s: %s', (stage, fluid, reaches, grade, watch) => {
    expect(leak({ stage, fluid, reaches })).toMatchObject({ grade, watch });
  });

  test('a further stage never earns a better grade, whatever the fluid', () => {
    expect(FLUIDS.length).toBeGreaterThan(10);
    for (const fluid of FLUIDS) {
      const grades = LEAK_STAGES.map((stage) => rank(leak({ stage, fluid }).grade));
      expect(grades).toEqual([...grades].sort((a, b) => a - b));
    }
  });
});

describe('what was not seen', () => {
  const ref = { point: 'belt.aux', place: '' } as const;

  test.each([
    ['no entry at all', [], 'not-looked-at'],
    [
      'a photo or note without a judgement',
      [findingOf('belt.aux', '', { access: 'open', note: 'look again' })],
      'not-looked-at',
    ],
    ['not reached', [findingOf('belt.aux', '', { access: 'not-reached', accessReason: 'seized' })], 'not-reached'],
    ['partly seen', [findingOf('belt.aux', '', { access: 'partly', accessReason: 'tray-on' })], 'partly-seen'],
  ])('%s is not seen', (_, findings, rule) => {
    const result = gradePoint(ref, contextOf(CAR, findings));
    expect(result.grade).toBe('not-seen');
    expect(result.reasons[0]).toMatchObject({ rule });
  });

  test('looked at and nothing wrong is sound', () => {
    expect(gradePoint(ref, contextOf(CAR, [findingOf('belt.aux', '')])).grade).toBe('pass');
  });

  test('words carry their own grades, the worst counts', () => {
    expect(gradePoint(ref, contextOf(CAR, [findingOf('belt.aux', '', { words: ['noisy', 'frayed'] })])).grade).toBe(
      'fail',
    );
    expect(Object.keys(BASELINE.words).length).toBeGreaterThan(20);
  });
});

describe('the verdict', () => {
  test('an untouched vehicle is not seen, and all its points are counted so', () => {
    const verdict = verdictOf(contextOf(CAR, []));
    expect(verdict.grade).toBe('not-seen');
    expect(verdict.counts['not-seen']).toBe(verdict.points.length);
    expect(verdict.points.length).toBeGreaterThan(100);
  });

  test('the worst counts, recorded readings do not spoil a pass, gaps stand beside it', () => {
    const findings = [
      findingOf('belt.aux', ''),
      findingOf('tyre.pressure', '1L', { readings: [readingOf('pressure', 100)] }),
    ];
    const verdict = verdictOf(contextOf(CAR, findings, { inspection: inspectionOf(CAR, { state: 'hot' }) }));
    expect(verdict.grade).toBe('pass');
    expect(verdict.counts).toMatchObject({ pass: 1, recorded: 1, 'not-seen': verdict.points.length - 2 });
  });

  test('worst first, in walking order within a grade, with what is watched last', () => {
    const leaks = [leakOf({ stage: 'damp', wiped: true })];
    const findings = [
      findingOf('leak.engine', '', { leaks }),
      findingOf('cold.belts', '', { words: ['noisy'] }),
      findingOf('hose.coolant.top', '', { words: ['bulged'] }),
      findingOf('belt.aux', ''),
    ];
    const verdict = verdictOf(contextOf(CAR, findings));
    expect(verdict.grade).toBe('fail');
    expect(worstFirst(verdict.points).map(({ key }) => key)).toEqual(['hose.coolant.top', 'cold.belts', 'leak.engine']);
  });
});
