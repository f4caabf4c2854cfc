import { CAR, findingOf, inspectionOf, readingOf, rulesWith } from '../tests/builders';
import { DRY, type LeakStage } from '../catalogue/leaks';
import type { VisitRecord } from '../inspection/visitRecord';
import type { LeakLook } from '../trends/standingLooks';
import { leakSpots } from './leakSpots';
import { outlookOf } from './outlookOf';

const look = (
  month: number,
  stage: LeakStage,
  wiped = false,
  place: 'rear-crank-seal' | 'sump-joint' = 'rear-crank-seal',
): LeakLook => ({
  inspectionId: `v${month}`,
  at: `2026-0${month}-01T08:00:00.000Z`,
  point: 'leak.engine',
  observation: stage === 'dry' ? DRY : { ...DRY, stage, fluid: 'engine-oil', place, wiped },
});

describe('leak spots', () => {
  test.each([
    ['watched while it is only damp', [look(1, 'stain', true), look(2, 'damp')], 'watched'],
    ['closed when it stayed dry twice after a wipe', [look(1, 'damp', true), look(2, 'dry'), look(3, 'dry')], 'closed'],
    ['not closed when nobody wiped it', [look(1, 'damp'), look(2, 'dry'), look(3, 'dry')], 'watched'],
    ['worse two stages up', [look(1, 'stain', true), look(2, 'drop')], 'worse'],
    [
      'open again when it comes back',
      [look(1, 'damp', true), look(2, 'dry'), look(3, 'dry'), look(4, 'stain')],
      'watched',
    ],
  ] as const)('%s', (_, looks, fate) => expect(leakSpots(looks)[0]?.fate).toBe(fate));

  test('place and fluid tell them apart; a dry look is one at each', () => {
    const spots = leakSpots([look(3, 'dry'), look(1, 'stain', true), look(2, 'damp', true, 'sump-joint')]);
    expect(spots.map(({ place, looks }) => [place, looks.map(({ stage }) => stage)])).toEqual([
      ['rear-crank-seal', ['stain', 'dry']],
      ['sump-joint', ['damp', 'dry']],
    ]);
  });
});

describe('what a vehicle is coming to', () => {
  const visit = (
    n: number,
    pads: readonly number[],
    kpa: readonly number[] = [230, 230, 220, 220],
    ambientC = 12,
  ): VisitRecord => {
    const id = `00000000-0000-4000-8000-00000000aa0${n}`;
    return {
      inspection: inspectionOf(CAR, {
        id,
        meter: 10_000 + n * 4000,
        startedAt: `2026-0${n}-01T08:00:00.000Z`,
        signedAt: `2026-0${n}-01T10:00:00.000Z`,
        ambientC,
      }),
      findings: (['1L', '1R', '2L', '2R'] as const).flatMap((place, at) => [
        findingOf('pad.inner', place, { readings: [readingOf('lining', pads[at] ?? 9)] }, id),
        findingOf('tyre.pressure', place, { readings: [readingOf('pressure', kpa[at] ?? 220)] }, id),
      ]),
    };
  };
  const steady = [1, 2, 3, 4, 5].map((n) => visit(n, [12 - n, 12 - n, 12 - n * 0.7, 12 - n * 0.7]));

  test('steady wear raises nothing, tells each part once, and when it comes again', () => {
    const outlook = outlookOf(CAR, steady, [], rulesWith());
    expect(outlook.changes).toEqual([]);
    expect(outlook.parts.map(({ series: { key } }) => key).sort()).toEqual(
      ['1L', '1R', '2L', '2R'].map((place) => `pad.inner@${place}:whole`),
    );
    expect(outlook.nextVisit?.slice(0, 7)).toMatch(/2026-0[56]|2026-06/);
    expect(outlookOf(CAR, steady.slice(0, 1), [], rulesWith()).nextVisit).toBeNull();
  });

  test('the chance to be under the limit before the next visit rises as the part wears', () => {
    const chance = (visits: readonly VisitRecord[]) =>
      Math.max(...outlookOf(CAR, visits, [], rulesWith()).parts.map(({ beforeNext }) => beforeNext ?? 0));
    expect(chance(steady)).toBeLessThan(0.05);
    const worn = [1, 2, 3, 4, 5].map((n) => visit(n, [7.4 - n, 7.4 - n, 10, 10]));
    expect(chance(worn)).toBeGreaterThan(0.2);
    expect(outlookOf(CAR, worn.slice(0, 1), [], rulesWith()).parts[0]?.beforeNext).toBeNull();
  });

  test('a brake that begins to drag is named with its onset', () => {
    const drags = [...steady, visit(6, [4, 6, 7.8, 7.8]), visit(7, [1, 5, 7.1, 7.1])];
    expect(outlookOf(CAR, drags, [], rulesWith()).changes).toEqual([
      expect.objectContaining({
        kind: 'wear',
        scope: 'part',
        measures: ['lining'],
        places: ['1L'],
        since: '2026-05-01T08:00:00.000Z',
      }),
    ]);
    const forecasts = new Map(
      outlookOf(CAR, drags, [], rulesWith()).parts.map(({ series, forecast }) => [series.place, forecast]),
    );
    expect(forecasts.get('1L')).toMatchObject({ perhaps: { chance: expect.any(Number) as number } });
    expect(forecasts.get('2L')).not.toHaveProperty('perhaps');
  });

  test('a puncture hidden by a cold day is named; the cold day alone is not', () => {
    const cold = visit(6, [6, 6, 7.8, 7.8], [214, 214, 205, 205], -2);
    expect(outlookOf(CAR, [...steady, cold], [], rulesWith()).changes).toEqual([]);
    const leaking = visit(6, [6, 6, 7.8, 7.8], [214, 214, 205, 150], -2);
    expect(outlookOf(CAR, [...steady, leaking], [], rulesWith()).changes).toEqual([
      expect.objectContaining({ kind: 'pressure', place: '2R' }),
    ]);
  });

  test('nothing signed is nothing told, and nothing breaks', () => {
    expect(outlookOf(CAR, [], [], rulesWith())).toEqual({
      parts: [],
      changes: [],
      leaks: [],
      states: [],
      nextVisit: null,
      series: [],
      wear: null,
      use: null,
    });
  });
});
