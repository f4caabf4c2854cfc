import fc from 'fast-check';
import { freezePoint } from '../limits/glycol';
import { CAR, MINIBUS, contextOf, findingOf, inspectionOf, readingOf, rulesWith } from '../tests/builders';
import { PLAIN_FLUID, type SpecSheet } from '../vehicle/specSheet';
import type { Vehicle } from '../vehicle/vehicle';
import { gradePoint } from './gradePoint';
import { tapeThresholds } from './tapeThresholds';

const withSpec = (change: Partial<SpecSheet>): Vehicle => ({ ...CAR, spec: { ...CAR.spec, ...change } });
const PROPYLENE = withSpec({ fluids: [{ ...PLAIN_FLUID, fluid: 'coolant', grade: 'Propylene glycol, blue' }] });

describe('a glycol sample is judged once, by the protection it gives', () => {
  const strength = { point: 'coolant.strength', place: '' } as const;
  const context = (share: number, vehicle: Vehicle = CAR, designLowC = -25) =>
    contextOf(vehicle, [findingOf('coolant.strength', '', { readings: [readingOf('glycol', share)] })], {
      rules: rulesWith({ designLowC }),
    });
  const graded = (...given: Parameters<typeof context>) => gradePoint(strength, context(...given));

  test.each<[string, Parameters<typeof context>, string]>([
    ['ten kelvin to spare', [50], 'pass'],
    ['less than ten to spare', [46], 'advisory'],
    ['freezes before it gets so cold', [36], 'fail'],
    ['where it gets less cold that does', [36, CAR, -10], 'pass'],
    ['propylene glycol protects less at the same share', [50, PROPYLENE], 'advisory'],
    ['past the table it protects at least so far', [60], 'pass'],
    ['so much of it that it freezes earlier again', [70], 'advisory'],
    ['too little to guard the metal, where no frost comes', [30, CAR, 0], 'advisory'],
    ['nothing but water', [0, CAR, -10], 'fail'],
  ])('%s', (_, given, grade) => expect(graded(...given).grade).toBe(grade));

  test('the same sample by its freeze point comes to the same, but for what the share alone tells (2,000 drawn)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 34, max: 57 }), fc.integer({ min: -40, max: 0 }), (share, low) => {
        const freeze = freezePoint(share);
        const byFreeze = gradePoint(
          strength,
          contextOf(
            CAR,
            [
              findingOf('coolant.strength', '', {
                readings: [readingOf('freeze', freeze.status === 'value' ? freeze.value : NaN)],
              }),
            ],
            { rules: rulesWith({ designLowC: low }) },
          ),
        );
        expect(graded(share, CAR, low).grade).toBe(byFreeze.grade);
      }),
      { numRuns: 2000 },
    );
  });

  test('on the tape the freeze points lie at the shares that give them', () => {
    const edges = tapeThresholds(strength, 'glycol', context(50));
    expect(edges.map(({ grade, bad, value }) => [grade, bad, Math.round(value)])).toEqual([
      ['advisory', 'below', 48],
      ['fail', 'below', 40],
      ['advisory', 'below', 33],
      ['advisory', 'above', 65],
    ]);
  });
});

test('washer fluid is advised at most, and in the winter months only', () => {
  const grade = (freeze: number, startedAt: string) =>
    gradePoint(
      { point: 'washer.frost', place: '' },
      contextOf(CAR, [findingOf('washer.frost', '', { readings: [readingOf('freeze', freeze)] })], {
        inspection: inspectionOf(CAR, { startedAt }),
      }),
    ).grade;
  expect(grade(-5, '2026-01-10T08:00:00.000Z')).toBe('advisory');
  expect(grade(-30, '2026-01-10T08:00:00.000Z')).toBe('pass');
  expect(grade(-5, '2026-07-10T08:00:00.000Z')).toBe('recorded');
});

test('a level at the fill plug: at its edge or running out is full, under it is advised, not felt fails', () => {
  const grade = (step: number) =>
    gradePoint(
      { point: 'axle.oil.level', place: '' },
      contextOf(MINIBUS, [findingOf('axle.oil.level', '', { readings: [readingOf('hole', step)] })]),
    ).grade;
  expect([0, 1, 2, 3].map(grade)).toEqual(['pass', 'pass', 'advisory', 'fail']);
});

test('the two tyres of a pair are held against each other; single ones have no twin', () => {
  const pair = (outer: number, inner: number) => {
    const at = (place: '2Lo' | '2Li', kpa: number) =>
      findingOf('tyre.pressure', place, { readings: [readingOf('pressure', kpa)] });
    const context = contextOf(MINIBUS, [at('2Lo', outer), at('2Li', inner)]);
    return gradePoint({ point: 'tyre.pressure', place: '2Lo' }, context).reasons.filter(
      (reason) => reason.rule === 'limit' && reason.kind === 'twins',
    );
  };
  expect(pair(350, 310)).toMatchObject([{ grade: 'advisory', value: 40 }]);
  expect(pair(350, 340)).toEqual([]);
  const single = findingOf('tyre.pressure', '1L', { readings: [readingOf('pressure', 230)] });
  const { reasons } = gradePoint({ point: 'tyre.pressure', place: '1L' }, contextOf(CAR, [single]));
  expect(reasons.some((reason) => reason.rule === 'limit' && reason.kind === 'twins')).toBe(false);
});

test('a tightened steering box is held against its own torque, not the wheel bolts’', () => {
  const torques = [
    { fastener: 'wheel-bolts', newtonMetres: 120, socket: '', angleDeg: null, stagesNm: [], renew: false },
    { fastener: 'steering-box', newtonMetres: 90, socket: '', angleDeg: null, stagesNm: [], renew: false },
  ] as const;
  const grade = (nm: number) =>
    gradePoint(
      { point: 'steer.box.bolts', place: '' },
      contextOf(withSpec({ torques }), [findingOf('steer.box.bolts', '', { readings: [readingOf('torque', nm)] })]),
    ).grade;
  expect([88, 75, 60].map(grade)).toEqual(['pass', 'advisory', 'fail']);
});

test('a coarser gauge leaves more in doubt: the same reading becomes a close call', () => {
  const call = (step: number | null) =>
    gradePoint(
      { point: 'tyre.tread', place: '1L' },
      contextOf(CAR, [
        findingOf('tyre.tread', '1L', {
          readings: (['outer', 'centre', 'inner'] as const).map((spot) => ({
            ...readingOf('tread', 3.25, spot),
            step,
          })),
        }),
      ]),
    ).closeCall;
  expect([call(null), call(0.1), call(0.5), call(1)]).toEqual([false, false, true, true]);
});
