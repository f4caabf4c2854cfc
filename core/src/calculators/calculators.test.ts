import type { Place } from '../vehicle/vehicle';
import fc from 'fast-check';
import { batteryHealth, stateOfCharge } from './battery';
import { boilingFromWater } from './brakeFluidBoiling';
import { dripLoss, dropRate } from './drips';
import { dueOf, type DueQuestion } from './due';
import { filterFit } from './filterFit';
import { fuelUse, mpgToLitresPer100Km } from './fuelUse';
import { drainToRaise, freezePoint, glycolShare, GLYCOLS } from '../limits/glycol';
import { OIL_USED_LIMITS, oilUseGrade, oilUsed, stickToLitres } from './oil';
import { partLeft } from './partLeft';
import { CORNERS, rotationOf, type RotationQuestion } from './rotation';
import { seasonOrLeak, type TyrePressure } from './seasonOrLeak';
import { STUD_COUNTS, torqueOrder } from './torqueOrder';

describe('glycol', () => {
  test.each([
    ['ethylene', 30, -16.0],
    ['ethylene', 47.6, -33.8],
    ['ethylene', 0, 0],
    ['propylene', 39.6, -21.1],
    ['propylene', 60.2, -51.1],
  ] as const)('%s at %d %% freezes at %d °C', (glycol, share, celsius) => {
    const freeze = freezePoint(share, glycol);
    expect(freeze.status === 'value' && freeze.value).toBeCloseTo(celsius, 1);
  });

  test('outside the table there is a bound, never a number', () => {
    expect(freezePoint(70)).toEqual({ status: 'turns', end: 57.8 });
    expect(freezePoint(100, 'propylene')).toEqual({ status: 'turns', end: 60.2 });
    expect(freezePoint(-1)).toEqual({ status: 'beyond', side: 'above', end: 0 });
    expect(glycolShare(-60)).toEqual({ status: 'beyond', side: 'above', end: 57.8 });
    expect(glycolShare(1)).toEqual({ status: 'beyond', side: 'below', end: 0 });
  });

  test('share to freeze point and back', () => {
    fc.assert(
      fc.property(fc.constantFrom(...GLYCOLS), fc.double({ min: 0, max: 57.8, noNaN: true }), (glycol, share) => {
        const freeze = freezePoint(share, glycol);
        const back = freeze.status === 'value' ? glycolShare(freeze.value, glycol) : freeze;
        expect(back.status === 'value' && back.value).toBeCloseTo(share, 6);
      }),
    );
  });

  test.each([
    ['7.5 L from 32 to 50 % with neat', 7.5, 0.32, 0.5, 1, 1.985],
    ['with premix of 60 %', 7.5, 0.32, 0.5, 0.6, 4.821],
    ['strong enough already', 7.5, 0.5, 0.5, 1, 0],
  ])('%s', (_, litres, now, wanted, refill, drain) => {
    expect(drainToRaise(litres, now, wanted, refill)).toBeCloseTo(drain, 3);
  });
  test('a premix as weak as wanted or weaker cannot raise it; an empty system is no system', () => {
    expect(drainToRaise(7.5, 0.32, 0.5, 0.4)).toBeNull();
    expect(() => drainToRaise(0, 0.3, 0.5)).toThrow(RangeError);
  });

  test('what is drained and refilled gives the share that was wanted', () => {
    const share = fc.double({ min: 0.01, max: 0.6, noNaN: true });
    fc.assert(
      fc.property(share, share, (a, b) => {
        const [now, wanted] = a < b ? [a, b] : [b, a];
        const drained = drainToRaise(10, now, wanted) ?? NaN;
        expect(((10 - drained) * now + drained) / 10).toBeCloseTo(Math.max(now, wanted), 9);
      }),
    );
  });
});

describe('brake fluid', () => {
  test.each([
    ['DOT 4', 2, 189],
    ['DOT 4', 0, 230],
    ['DOT 3', 3.7, 140],
    ['DOT 5.1', 3.7, 180],
  ] as const)('%s with %d %% of water boils at about %d °C', (grade, water, celsius) => {
    expect(Math.round(boilingFromWater(grade, water) ?? NaN)).toBe(celsius);
  });
  test('beyond the wet point it says nothing', () => {
    expect([boilingFromWater('DOT 4', 3.8), boilingFromWater('DOT 4', -0.1)]).toEqual([null, null]);
  });
});

describe('oil', () => {
  test('the stick to litres, three quarters first', () => {
    expect(stickToLitres(0.2, 1, 1.5)).toEqual({
      status: 'add',
      litres: 1.2000000000000002,
      firstLitres: expect.closeTo(0.9, 9),
    });
    expect(stickToLitres(1.2, 1, 1)).toEqual({ status: 'remove', litres: expect.closeTo(0.2, 9) });
    expect(stickToLitres(1, 1, 1)).toEqual({ status: 'right' });
    expect(stickToLitres(0.8, 0.5, 1)).toEqual({ status: 'right' });
    expect(() => stickToLitres(0.5, 1, 0)).toThrow(RangeError);
  });
  test('1.3 L added, 0.9 to 0.4, span 1.0 L, 6,200 km is 0.290 L per 1,000 km', () => {
    expect(oilUsed(1.3, 0.9, 0.4, 1, 6200)).toBeCloseTo(0.29, 3);
    expect(oilUsed(1.3, 0.9, 0.4, 1, 6200)).toBeLessThan(OIL_USED_LIMITS.advisory);
    const grades = [-0.01, 0, 0.3, 0.31, 0.7, 0.71].map(oilUseGrade);
    expect(grades).toEqual(['not-told', 'pass', 'pass', 'advisory', 'advisory', 'fail']);
    expect(() => oilUsed(1, 1, 1, 1, 0)).toThrow(RangeError);
  });
});

describe('battery', () => {
  test.each([
    ['flooded', 12.72, { status: 'about', percent: 100 }],
    ['flooded', 12.45, { status: 'about', percent: 75 }],
    ['efb', 12.24, { status: 'about', percent: 50 }],
    ['agm', 12.3, { status: 'about', percent: 50 }],
    ['agm', 11.79, { status: 'empty' }],
    ['flooded', 12.9, { status: 'full' }],
    ['lithium', 13, { status: 'unknown' }],
  ] as const)('%s at %d V', (type, volts, state) => expect(stateOfCharge(volts, type)).toEqual(state));

  test('health in one standard only', () => {
    const rated = { amperes: 640, standard: 'EN' } as const;
    expect(batteryHealth({ amperes: 480, standard: 'EN' }, rated)).toBe(0.75);
    expect(batteryHealth({ amperes: 480, standard: 'SAE' }, rated)).toBeNull();
    expect(() => batteryHealth({ amperes: 1, standard: 'EN' }, { amperes: 0, standard: 'EN' })).toThrow(RangeError);
  });
});

describe('fuel use', () => {
  test('full to full, partial fills carried, what came before the first full one left out', () => {
    const fills = [
      { km: 900, litres: 10, full: false },
      { km: 1000, litres: 40, full: true },
      { km: 1300, litres: 15, full: false },
      { km: 1500, litres: 20, full: true },
      { km: 2100, litres: 45, full: true },
    ];
    expect(fuelUse(fills)).toEqual([
      { fromKm: 1000, toKm: 1500, litresPer100Km: expect.closeTo(7, 9) },
      { fromKm: 1500, toKm: 2100, litresPer100Km: 7.5 },
    ]);
    expect(fuelUse([...fills].reverse())).toEqual(fuelUse(fills));
    expect(fuelUse(fills.slice(0, 2))).toEqual([]);
  });
  test('40 mpg (imperial) is 7.06 L/100 km, and back', () => {
    expect(mpgToLitresPer100Km(40, 'imperial')).toBeCloseTo(7.06, 2);
    expect(mpgToLitresPer100Km(mpgToLitresPer100Km(31, 'us'), 'us')).toBeCloseTo(31, 9);
    expect(() => mpgToLitresPer100Km(0, 'us')).toThrow(RangeError);
  });
});

describe('due', () => {
  const question: DueQuestion = {
    lastOn: '2026-01-31',
    lastMeter: 50_000,
    today: '2026-06-01',
    meter: 56_000,
    months: 12,
    distance: 15_000,
    factor: 1,
    perDay: 50,
  };
  test('the earlier of months and distance, the distance told as a date', () => {
    expect(dueOf(question)).toEqual({ by: 'distance', on: '2026-11-28', daysLeft: 180, distanceLeft: 9000 });
    expect(dueOf({ ...question, perDay: 20 })).toMatchObject({ by: 'months', on: '2027-01-31' });
  });
  test.each([
    ['the last of January and a month', { months: 1, distance: null }, '2026-02-28'],
    ['hard use shortens months', { months: 12, distance: null, factor: 0.5 }, '2026-07-31'],
    ['hard use shortens distance', { months: null, factor: 0.7 }, '2026-08-30'],
    ['distance without a known use has no date', { months: null, perDay: null }, null],
    ['gone by', { months: null, meter: 66_000 }, '2026-05-12'],
  ])('%s', (_, change, on) => expect(dueOf({ ...question, ...change })?.on).toBe(on));
  test('no limit is never due; a factor of 0 or over 1 is refused', () => {
    expect(dueOf({ ...question, months: null, distance: null })).toBeNull();
    for (const factor of [0, 1.1]) expect(() => dueOf({ ...question, factor })).toThrow(RangeError);
  });
});

describe('torque order', () => {
  test.each(STUD_COUNTS.map((studs) => [studs]))('%d studs: each once, never two neighbours in a row', (studs) => {
    const order = torqueOrder(studs);
    expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: studs }, (_, index) => index + 1));
    for (const [index, stud] of order.entries()) {
      const before = order[index - 1];
      // Of four studs two neighbours cannot be kept apart once.
      if (before !== undefined && studs > 4) expect([1, studs - 1]).not.toContain(Math.abs(stud - before));
    }
    if (studs !== 5) expect(order[1]).toBe(1 + studs / 2);
  });
  test('five go round the star, eight turn by right angles', () => {
    expect(torqueOrder(5)).toEqual([1, 3, 5, 2, 4]);
    expect(torqueOrder(8).slice(0, 4)).toEqual([1, 5, 3, 7]);
  });
});

describe('rotation', () => {
  const question: RotationQuestion = {
    tread: { '1L': 4, '1R': 4, '2R': 7, '2L': 7 },
    spare: null,
    drive: 'front',
    directional: false,
    staggered: false,
    house: { bestTyres: 'even-out', rotation: 'by-drive' },
  };
  test.each([
    ['evened out by the drive’s cross', {}, { status: 'rotate', pattern: 'forward-cross' }],
    ['rear drive crosses the other way', { drive: 'rear' }, { status: 'rotate', pattern: 'rearward-cross' }],
    ['directional tyres keep their side', { directional: true }, { status: 'rotate', pattern: 'same-side' }],
    ['staggered sizes stay', { staggered: true }, { status: 'leave', why: 'staggered' }],
    [
      'a house that rotates nothing',
      { house: { bestTyres: 'even-out', rotation: 'none' } },
      { status: 'leave', why: 'house' },
    ],
    [
      'best at the rear and they are',
      { house: { bestTyres: 'rear', rotation: 'by-drive' } },
      { status: 'leave', why: 'gains-nothing' },
    ],
    ['four alike', { tread: { '1L': 5, '1R': 5, '2R': 5, '2L': 5 } }, { status: 'leave', why: 'gains-nothing' }],
    ['a new spare comes in', { spare: 8, tread: { '1L': 4, '1R': 4, '2R': 4.2, '2L': 7 } }, { status: 'rotate' }],
  ] as const)('%s', (_, change, answer) => expect(rotationOf({ ...question, ...change })).toMatchObject(answer));

  test('under best at the rear the worse pair never goes there', () => {
    const mm = fc.integer({ min: 16, max: 90 }).map((tenths) => tenths / 10);
    fc.assert(
      fc.property(fc.tuple(mm, mm, mm, mm), fc.constantFrom('front', 'rear', 'four-permanent'), (mms, drive) => {
        const tread = Object.fromEntries(
          CORNERS.map((corner, index) => [corner, mms[index]]),
        ) as RotationQuestion['tread'];
        const answer = rotationOf({
          ...question,
          tread,
          drive: drive,
          house: { bestTyres: 'rear', rotation: 'by-drive' },
        });
        if (answer.status === 'leave') return;
        const at = (corner: (typeof CORNERS)[number]) => tread[answer.from[corner] as '1L'];
        expect(Math.min(at('2L'), at('2R'))).toBeGreaterThanOrEqual(Math.min(at('1L'), at('1R')));
      }),
    );
  });
});

describe('filter fit', () => {
  const filter = { threadMm: 20, pitchMm: 1.5, sealInsideMm: 62, sealOutsideMm: 71 };
  const engine = { threadMm: 20, pitchMm: 1.5, landingInsideMm: 60, landingOutsideMm: 73 };
  test.each([
    ['fits', {}, []],
    ['another pitch', { pitchMm: 1.25 }, ['pitch']],
    ['another thread', { threadMm: 18 }, ['thread']],
    ['seal too small', { sealInsideMm: 59 }, ['seal-inside']],
    ['seal too wide', { sealOutsideMm: 74 }, ['seal-outside']],
  ])('%s', (_, change, misfits) => {
    expect(filterFit({ filter: { ...filter, ...change }, engine, bypassKnown: true })).toEqual({
      misfits,
      warnBypass: false,
    });
  });
  test('an unknown by-pass is warned of', () => {
    expect(filterFit({ filter, engine, bypassKnown: false }).warnBypass).toBe(true);
  });
});

describe('drips', () => {
  test('20 drops are a millilitre', () => {
    expect(dripLoss(20, 24, 0.72)).toEqual({ mlPerHour: 60, mlPerDay: 1440, daysToMinimum: 0.5 });
    expect(dripLoss(0, 24, 1).daysToMinimum).toBeNull();
    expect(dripLoss(5, 2, null)).toEqual({ mlPerHour: 15, mlPerDay: 30, daysToMinimum: null });
  });
  test('taps to drops per minute', () => {
    expect(dropRate([0, 2000, 4000])).toBe(30);
    expect([dropRate([]), dropRate([5]), dropRate([5, 5])]).toEqual([null, null, null]);
  });
});

describe('part left', () => {
  test('half worn in 20,000 km has 20,000 to go', () => {
    expect(partLeft(9.6, 5.6, 1.6, 20_000, 100)).toEqual({
      share: expect.closeTo(0.5, 9),
      distance: expect.closeTo(20_000, 6),
      days: expect.closeTo(200, 6),
    });
    expect(partLeft(8, 8, 1.6, 0, 50)).toEqual({ share: 1, distance: null, days: null });
    expect(partLeft(8, 1, 1.6, 20_000, null)).toMatchObject({ share: 0, distance: 0, days: null });
    expect(() => partLeft(1, 1, 1.6, 0, null)).toThrow(RangeError);
  });
});

describe('season or leak', () => {
  const tyre = (place: Place, nowKpa: number, change: Partial<TyrePressure> = {}): TyrePressure => ({
    place,
    beforeKpa: 240,
    beforeC: 20,
    nowKpa,
    nowC: 0,
    inflatedSince: false,
    ...change,
  });
  const verdicts = (tyres: TyrePressure[]) => seasonOrLeak(tyres, 61, 2, 0).map(({ verdict }) => verdict);

  test('all four down by what the cold explains is the season', () => {
    const tyres = (['1L', '1R', '2R', '2L'] as const).map((place) => tyre(place, 217));
    expect(verdicts(tyres)).toEqual(Array(4).fill('with-the-others'));
    expect(seasonOrLeak(tyres, 61, 2, 0)[0]?.bySeasonKpa).toBeCloseTo(-23.3, 1);
  });
  test('one down alone has its own loss, per month; two cannot hide each other', () => {
    const [, , alone] = seasonOrLeak([tyre('1L', 217), tyre('1R', 217), tyre('2R', 197), tyre('2L', 217)], 61, 2, 0);
    expect(alone).toMatchObject({ verdict: 'own-loss', perMonthKpa: expect.closeTo(9.98, 1) });
    expect(verdicts([tyre('1L', 217), tyre('1R', 217), tyre('2R', 197), tyre('2L', 199)])).toEqual([
      'with-the-others',
      'with-the-others',
      'own-loss',
      'own-loss',
    ]);
  });
  test('an inflated tyre is taken out; no time between is refused', () => {
    expect(verdicts([tyre('1L', 217), tyre('1R', 217), tyre('2R', 190, { inflatedSince: true })])).toContain(
      'inflated-since',
    );
    expect(() => seasonOrLeak([tyre('1L', 217)], 0, 2, 0)).toThrow(RangeError);
  });
});
