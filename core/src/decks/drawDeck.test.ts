import fc from 'fast-check';
import { LEAK_STAGES } from '../catalogue/leaks';
import { GRADES } from '../grading/grade';
import { gradedPoints, type GradedPoint } from '../grading/verdict';
import { CAR, MINIBUS, contextOf, findingOf, leakOf, readingOf, treadOf } from '../tests/builders';
import type { Vehicle } from '../vehicle/vehicle';
import { DECKS, type DeckName } from './deckNames';
import { drawDeck, hasFigures } from './drawDeck';
import { gradeMark, inkOf, leakDrop } from './marks';
import { DRAWING } from './vehicleShape';

const words = {
  name: ({ point, place }: GradedPoint) => `${point} ${place}`.trim(),
  figure: (_measure: string, stored: number) => String(stored),
};
const drawn = (vehicle: Vehicle, deck: DeckName, findings = FOUND) =>
  drawDeck(deck, vehicle, gradedPoints(contextOf(vehicle, findings)), words);

const FOUND = [
  findingOf('tyre.tread', '1L', { readings: treadOf(1.2, 3, 3.2) }),
  findingOf('pad.outer', '1L', { readings: [readingOf('lining', 7)] }),
  findingOf('pad.inner', '1L', { readings: [readingOf('lining', 1)] }),
  findingOf('brake.fluid.water', '', { readings: [readingOf('water', 3.5)] }),
  findingOf('leak.engine', '', { leaks: [leakOf({ stage: 'run' })] }),
];

describe('a floor of the vehicle', () => {
  test('of any vehicle is drawn in paths that any program reads', () => {
    for (const vehicle of [CAR, MINIBUS])
      for (const deck of DECKS) {
        const { shapes, texts } = drawn(vehicle, deck);
        expect(shapes.length).toBeGreaterThan(4);
        for (const { d, fill, stroke, width } of shapes) {
          expect(d).toMatch(/^M[-\d.]+ [-\d.]+[-\d. MLHVCQAZahlvz]*$/);
          expect(fill !== null || (stroke !== null && width > 0)).toBe(true);
        }
        for (const { x, y } of texts) {
          expect(x).toBeGreaterThanOrEqual(0);
          expect(x).toBeLessThanOrEqual(DRAWING.width);
          expect(y).toBeLessThanOrEqual(DRAWING.height);
        }
      }
  });

  test('a wheel tells its least tread and its pads, in that order, at its own place', () => {
    const { texts } = drawn(CAR, 'wheels');
    const [figures] = texts.filter(({ strong }) => !strong);
    expect(figures).toMatchObject({ text: '1.2 · 7 · 1', anchor: 'start' });
    expect(figures?.x).toBeLessThan(DRAWING.width / 2);
    expect(figures?.y).toBeLessThan(DRAWING.height / 2);
    expect(texts.filter(({ strong }) => !strong)).toHaveLength(1);
  });

  test('what was never read has no figure, and a bound is none', () => {
    expect(drawn(CAR, 'wheels', []).texts).toEqual([]);
    const barsOnly = [
      findingOf('tyre.tread', '1L', { readings: treadOf(1.6, 1.6, 1.6).map((one) => ({ ...one, bound: 'over' })) }),
    ];
    expect(drawn(CAR, 'wheels', barsOnly).texts.filter(({ strong }) => !strong)).toEqual([]);
    expect(hasFigures(gradedPoints(contextOf(CAR, barsOnly)))).toBe(false);
    expect(hasFigures(gradedPoints(contextOf(CAR, FOUND)))).toBe(true);
  });

  test('a tyre that fails is cut through, one that nobody saw is dashed', () => {
    const dashed = (findings: typeof FOUND) => drawn(CAR, 'wheels', findings).shapes.filter(({ dash }) => dash).length;
    expect(dashed([])).toBe(4);
    expect(dashed(FOUND)).toBe(3);
    const failed = drawn(CAR, 'wheels').shapes.filter(({ fill }) => fill === 'fail');
    expect(failed).toHaveLength(1);
  });

  test('what is not well is named on the drawing or left over to be told; nothing is in both or in none', () => {
    for (const deck of DECKS) {
      const { texts, unnamed } = drawn(CAR, deck);
      const wrong = gradedPoints(contextOf(CAR, FOUND)).filter(
        ({ result, ...point }) => ['advisory', 'fail'].includes(result.grade) && drawnOn(deck, point),
      );
      const named = texts.filter(({ strong }) => strong).map(({ text }) => text);
      const left = unnamed.map(words.name);
      expect([...named, ...left].sort()).toEqual(wrong.map(words.name as (point: unknown) => string).sort());
    }
  });

  test('a leak is its drop instead of a mark, and the drop has the leak’s grade', () => {
    const { shapes } = drawn(CAR, 'under');
    const grade = gradedPoints(contextOf(CAR, FOUND)).find(({ point }) => point === 'leak.engine')?.result.grade;
    expect(grade).toBe('fail');
    // A run is one full drop and two that fall.
    expect(shapes.filter(({ fill }) => fill === 'fail')).toHaveLength(3);
  });
});

/** Whether a point is drawn on a floor, told here by its own data. */
function drawnOn(deck: DeckName, { point }: Pick<GradedPoint, 'point'>): boolean {
  const onUnder = ['leak.engine'];
  const onBonnet = ['brake.fluid.water'];
  return (
    { under: onUnder, bonnet: onBonnet, wheels: ['tyre.tread', 'pad.inner', 'pad.outer'] } as Record<DeckName, string[]>
  )[deck].includes(point);
}

describe('marks', () => {
  test('grades are told apart by their shape alone', () => {
    const shapes = GRADES.map((grade) => gradeMark(grade, 50, 50));
    const seen = new Set(shapes.map(({ d, dash }) => `${d} ${dash?.join() ?? ''}`));
    // Not seen and recorded are both hollow: neither was judged.
    expect(seen.size).toBe(GRADES.length - 1);
    expect(GRADES.map(inkOf)).toEqual(expect.arrayContaining(['pass', 'advisory', 'fail', 'unseen']));
  });

  test('a drop is fuller and more of them fall the further a leak has gone', () => {
    const stages = LEAK_STAGES.filter((stage) => stage !== 'dry').map((stage) =>
      leakDrop(stage, { x: 0, y: 0 }, 'fail'),
    );
    const weight = stages.map((shapes) => shapes.reduce((sum, { fillOpacity = 1 }) => sum + fillOpacity, 0));
    expect([...weight].sort((a, b) => a - b)).toEqual(weight);
    expect(new Set(weight).size).toBe(weight.length);
  });

  test('wherever a mark stands, it is centred there', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...GRADES),
        fc.integer({ min: 20, max: 400 }),
        fc.integer({ min: 20, max: 170 }),
        (grade, x, y) => {
          const [fromX = 0, fromY = 0] = (/^M([-\d.]+) ([-\d.]+)/.exec(gradeMark(grade, x, y).d) ?? [])
            .slice(1)
            .map(Number);
          expect(Math.hypot(fromX - x, fromY - y)).toBeLessThan(14);
        },
      ),
    );
  });
});
