import fc from 'fast-check';
import type { PointCode } from '../catalogue/catalogue';
import type { Finding, FindingChange } from '../inspection/finding';
import type { HouseRules } from '../house/houseRules';
import type { Place, Vehicle } from '../vehicle/vehicle';
import { CAR, MINIBUS, contextOf, findingOf, readingOf, rulesWith, treadOf } from '../tests/builders';
import { PLAIN_TORQUE } from '../vehicle/specSheet';
import { GRADES } from './grade';
import { gradePoint } from './gradePoint';
import type { Reason } from './reason';

/** Grades that were wrong once: each as an expert would have it. */

const SPECIFIED: Vehicle = {
  ...CAR,
  spec: {
    ...CAR.spec,
    battery: { type: 'flooded', ratedA: 600, standard: 'EN' },
    torques: [{ ...PLAIN_TORQUE, fastener: 'wheel-bolts', newtonMetres: 120, socket: '' }],
  },
};
const graded = (
  point: PointCode,
  place: Place,
  change: FindingChange,
  vehicle = SPECIFIED,
  house: Partial<HouseRules> = {},
  others: Finding[] = [],
) =>
  gradePoint(
    { point, place },
    contextOf(vehicle, [findingOf(point, place, change), ...others], { rules: rulesWith(house) }),
  );
const rulesOfReasons = (reasons: readonly Reason[]) => reasons.map(({ rule }) => rule);

describe('wheel bolts', () => {
  test.each([
    [40, 'fail'],
    [83, 'fail'],
    [84, 'advisory'],
    [107, 'advisory'],
    [108, 'pass'],
    [120, 'pass'],
    [138, 'pass'],
    [140, 'advisory'],
  ])('%d N·m where 120 are wanted: %s', (torque, grade) =>
    expect(graded('close.bolts', '1L', { readings: [readingOf('torque', torque)] }).grade).toBe(grade),
  );
  test('without a torque on the spec sheet it is recorded, and says why', () => {
    const { grade, reasons } = graded('close.bolts', '1L', { readings: [readingOf('torque', 40)] }, CAR);
    expect([grade, reasons]).toEqual(['recorded', [expect.objectContaining({ why: 'no-torque' })]]);
  });
});

test.each([
  ['wheel.bolts', '1L', 'loose', 'fail'],
  ['cabin.belts', '', 'damaged', 'fail'],
  ['cabin.belts', '', 'chafed', 'fail'],
  ['cable.parkbrake', '', 'damaged', 'fail'],
  ['walk.mirrors', '', 'damaged', 'advisory'],
  ['wiring.chafe', '', 'loose', 'advisory'],
] as const)('%s@%s %s: %s', (point, place, word, grade) =>
  expect(graded(point, place, { words: [word], counts: [] }).reasons.find(({ rule }) => rule === 'word')?.grade).toBe(
    grade,
  ),
);

test.each([
  [20, 'fail'],
  [150, 'advisory'],
  [240, 'recorded'],
])('a spare at %d kPa: %s', (kpa, grade) => {
  const reasons = graded('walk.spare', '', { readings: [readingOf('pressure', kpa)] }).reasons.filter(
    (reason) => 'measure' in reason && reason.measure === 'pressure',
  );
  expect(GRADES.findLast((one) => reasons.some((reason) => reason.grade === one))).toBe(grade);
});

describe('bars', () => {
  const flush = (vehicle: Vehicle, sheet: string) =>
    graded(
      'tyre.tread',
      '1L',
      {
        readings: (['outer', 'centre', 'inner'] as const).map((spot) => ({
          ...readingOf('tread', 1.6, spot),
          bound: 'under' as const,
        })),
      },
      vehicle,
      { sheet },
    );
  test('a flush bar fails the limit that is the bar’s, in either family of units', () => {
    expect([flush(CAR, 'baseline').grade, flush(CAR, 'us-light').grade]).toEqual(['fail', 'fail']);
  });
  test('where the law asks for less it says that it may be worse, and wants it measured', () => {
    const { grade, reasons } = flush(MINIBUS, 'baseline');
    expect(grade).toBe('advisory');
    expect(reasons).toContainEqual(
      expect.objectContaining({
        rule: 'undecided',
        value: 1.6,
        threshold: expect.objectContaining({ grade: 'fail', value: 1 }) as unknown,
      }),
    );
  });
});

describe('a pressure near the least difference that counts', () => {
  // At 20 °C a reading is what it is; 180 kPa of placard make five per cent less than the 10 kPa that count.
  const low: Vehicle = { ...CAR, axles: CAR.axles.map((axle) => ({ ...axle, placardKpa: 180 })) };
  const at = (kpa: number, house: Partial<HouseRules> = {}) =>
    graded('tyre.pressure', '1L', { readings: [readingOf('pressure', kpa)] }, low, house);
  test.each([
    [180, 'pass', false, 'pass'],
    [171, 'pass', true, 'advisory'],
    [169, 'advisory', true, 'advisory'],
    [160, 'advisory', false, 'advisory'],
  ] as const)('%d kPa: %s, close %s, guarded %s', (kpa, grade, close, guarded) => {
    expect([at(kpa).grade, at(kpa).closeCall, at(kpa, { nearLimit: 'guarded' }).grade]).toEqual([
      grade,
      close,
      guarded,
    ]);
  });
  test('guarded never passes what plain does not', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 60, max: 400, noNaN: true }),
        fc.integer({ min: 120, max: 400 }),
        (kpa, placardKpa) => {
          const vehicle = { ...CAR, axles: CAR.axles.map((axle) => ({ ...axle, placardKpa })) };
          const grade = (nearLimit: 'plain' | 'guarded') =>
            GRADES.indexOf(
              graded('tyre.pressure', '1L', { readings: [readingOf('pressure', kpa)] }, vehicle, { nearLimit }).grade,
            );
          expect(grade('guarded')).toBeGreaterThanOrEqual(grade('plain'));
        },
      ),
      { numRuns: 2000 },
    );
  });
});

test('a battery is not condemned by a rest voltage that was kept and not judged', () => {
  const crank = { readings: [readingOf('crank', 300)], standard: 'EN' as const };
  const rest = (outOf: Finding['outOf']) =>
    findingOf('battery.rest', '', { readings: [readingOf('rest-voltage', 12.7)], outOf });
  expect(graded('battery.crank', '', crank, SPECIFIED, {}, [rest([])]).grade).toBe('fail');
  const kept = graded('battery.crank', '', crank, SPECIFIED, {}, [rest(['off-cold'])]);
  expect([kept.grade, kept.reasons]).toEqual(['recorded', [expect.objectContaining({ why: 'not-charged' })]]);
});

describe('as found and as left', () => {
  test('found by one gauge and left by another: what it was left at stands', () => {
    const readings = [readingOf('glycol', 20), readingOf('freeze', -38, 'whole', 'left')];
    const point = graded('coolant.strength', '', { readings });
    expect([point.asFound, point.grade, point.corrected]).toEqual(['fail', 'pass', true]);
  });
  test('left without found was not corrected: nobody saw it wrong', () => {
    const point = graded('tyre.pressure', '1L', { readings: [readingOf('pressure', 230, 'whole', 'left')] });
    expect([point.grade, point.corrected]).toEqual(['pass', false]);
  });
});

test('what holds nothing but figures is not seen by being called sound; unmeasured wear is noted', () => {
  const sound = (point: PointCode, place: Place) => graded(point, place, { inOneStroke: true });
  expect(
    (['belt.timing.age', 'cabin.indicator', 'close.indicator'] as const).map((point) => sound(point, '').grade),
  ).toEqual(['not-seen', 'not-seen', 'not-seen']);
  const disc = sound('disc', '1L');
  expect([disc.grade, rulesOfReasons(disc.reasons)]).toEqual(['recorded', ['no-limit']]);
});

test('not reached never passes, whatever grade was given by hand and whatever was read before', () => {
  fc.assert(
    fc.property(
      fc.constantFrom<'open' | 'not-reached'>('open', 'not-reached'),
      fc.constantFrom<'pass' | 'advisory' | 'fail'>('pass', 'advisory', 'fail'),
      fc.constantFrom<PointCode>('tyre.tread', 'pad.inner', 'belt.aux', 'leak.engine', 'battery.rest'),
      fc.integer({ min: 0, max: 12 }),
      (access, grade, point, mm) => {
        const place = point === 'tyre.tread' || point === 'pad.inner' ? '1L' : '';
        const readings = point === 'tyre.tread' ? treadOf(mm, mm, mm) : [];
        const finding = findingOf(point, place, { readings, access, override: { grade, reason: 'by hand' } });
        expect(gradePoint({ point, place }, contextOf(CAR, [finding]))).toMatchObject({
          grade: 'not-seen',
          override: null,
        });
      },
    ),
    { numRuns: 2000 },
  );
});

test.each<[number, 'exact' | 'over', string]>([
  [3, 'exact', 'pass'],
  [7, 'exact', 'advisory'],
  [14, 'exact', 'fail'],
  [10, 'over', 'fail'],
])('an oil lamp out after %d s (%s) is %s', (seconds, bound, grade) => {
  const readings = [{ ...readingOf('seconds', seconds), bound }];
  expect(
    gradePoint({ point: 'cabin.oillamp', place: '' }, contextOf(CAR, [findingOf('cabin.oillamp', '', { readings })])),
  ).toMatchObject({ grade });
});

describe('springs and dampers are renewed by the axle', () => {
  const told = (place: Place, ...others: readonly Finding[]) => {
    const own = findingOf('damper', place, {});
    return gradePoint(own, contextOf(CAR, [own, ...others]));
  };
  test('a sound one tells of a worn one at the other side, and stays sound', () => {
    const wet = findingOf('damper', '1R', { words: ['rod-wet'] });
    expect(told('1L', wet)).toMatchObject({ grade: 'pass', reasons: [{ rule: 'pair', grade: 'pass' }] });
    expect(rulesOfReasons(told('2L', wet).reasons)).toEqual(['sound']);
    expect(rulesOfReasons(told('1L', findingOf('damper', '1R', {})).reasons)).toEqual(['sound']);
    expect(rulesOfReasons(told('1L').reasons)).toEqual(['sound']);
  });

  test('it never makes a grade better than its own look', () => {
    fc.assert(
      fc.property(fc.constantFrom('rod-wet', 'body-dented', null), fc.constantFrom('rod-wet', null), (mine, theirs) => {
        const own = findingOf('damper', '2L', { words: mine ? [mine] : [] });
        const other = findingOf('damper', '2R', { words: theirs ? [theirs] : [] });
        const alone = gradePoint(own, contextOf(CAR, [own]));
        const both = gradePoint(own, contextOf(CAR, [own, other]));
        expect(both.grade).toBe(alone.grade);
        expect(both.reasons.some(({ rule }) => rule === 'pair')).toBe(theirs !== null);
      }),
    );
  });

  test('brakes and hubs are not, though they are compared', () => {
    const hose = findingOf('brake.hose', '1L', {});
    const cut = findingOf('brake.hose', '1R', { words: ['perished'] });
    expect(rulesOfReasons(gradePoint(hose, contextOf(CAR, [hose, cut])).reasons)).toEqual(['sound']);
  });
});

test('the size of damage is kept by where it is; one kept without a place still counts', () => {
  const at = (spot: 'whole' | 'front' | 'left', value: number) => readingOf('extent', value, spot);
  const rust = findingOf('walk.body', '', { words: ['rust-scaling'], readings: [at('front', 40), at('left', 12)] });
  expect(gradePoint(rust, contextOf(CAR, [rust])).grade).toBe('advisory');
  expect(rust.readings.map(({ spot }) => spot)).toEqual(['front', 'left']);
  const old = findingOf('walk.body', '', { words: ['rust-scaling'], readings: [at('whole', 40)] });
  expect(gradePoint(old, contextOf(CAR, [old]))).toEqual(gradePoint(rust, contextOf(CAR, [rust])));
});
