import type { LeakStage } from '../catalogue/leaks';
import type { Grade } from '../grading/grade';

/** What a shape is drawn with: a token of the theme, or the colour of a grade. */
export type Ink = 'card' | 'ink' | 'rule' | 'panel' | 'edge' | 'soft' | 'pass' | 'advisory' | 'fail' | 'unseen';

/** A line or a face of a drawing, as an SVG path in the drawing's own units. */
export interface Shape {
  readonly d: string;
  readonly fill: Ink | null;
  /** 0 to 1; 1 where it is not said. */
  readonly fillOpacity?: number;
  readonly stroke: Ink | null;
  readonly width: number;
  /** Lengths of dash and gap. */
  readonly dash?: readonly [number, number];
}

/** The colour of a grade. */
export const inkOf = (grade: Grade): Ink => (grade === 'not-seen' || grade === 'recorded' ? 'unseen' : grade);

const face = (d: string, fill: Ink): Shape => ({ d, fill, stroke: null, width: 0 });
const circle = (x: number, y: number, r: number) =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;

/** The tally edge in small, for drawings: the same shapes, told apart without colour. Centred on (x, y). */
export function gradeMark(grade: Grade, x: number, y: number): Shape {
  switch (grade) {
    case 'pass':
      return face(circle(x, y, 5), 'pass');
    case 'advisory':
      return face(
        `M${x - 8} ${y - 8}H${x + 8}V${y - 4}L${x + 2} ${y}L${x + 8} ${y + 4}V${y + 8}H${x - 8}Z`,
        'advisory',
      );
    case 'fail':
      return {
        d: `M${x - 9} ${y - 9}H${x + 9}V${y - 4}L${x + 1} ${y - 1}L${x - 9} ${y - 3}ZM${x - 9} ${y + 9}H${x + 9}V${y + 3}L${x + 2} ${y + 4}L${x - 9} ${y + 3}Z`,
        fill: 'fail',
        stroke: 'card',
        width: 1,
      };
    default:
      return { d: circle(x, y, 6), fill: null, stroke: 'unseen', width: 2, dash: [3, 3] };
  }
}

/** How full the drop is, and how many fall: a stain is its outline alone, a run are three. */
const STAGES: Record<Exclude<LeakStage, 'dry'>, { readonly fill: number; readonly falling: number }> = {
  stain: { fill: 0, falling: 0 },
  damp: { fill: 0.35, falling: 0 },
  drop: { fill: 1, falling: 0 },
  drip: { fill: 1, falling: 1 },
  run: { fill: 1, falling: 2 },
};

const drop = (x: number, y: number, size: number) =>
  `M${x} ${y - size * 0.75}C${x + size * 0.18} ${y - size * 0.3} ${x + size / 2} ${y} ${x + size / 2} ${y + size * 0.25}A${size / 2} ${size / 2} 0 1 1 ${x - size / 2} ${y + size * 0.25}C${x - size / 2} ${y} ${x - size * 0.18} ${y - size * 0.3} ${x} ${y - size * 0.75}Z`;

/** A leak as a drop: fuller and more of them the further it has gone. Centred on (x, y). @param size of the largest drop's breadth */
export function leakDrop(
  stage: Exclude<LeakStage, 'dry'>,
  { x, y }: { readonly x: number; readonly y: number },
  ink: Ink,
  size = 12,
): Shape[] {
  const { fill, falling } = STAGES[stage];
  return [
    { d: drop(x, y, size), fill: ink, fillOpacity: fill, stroke: ink, width: 2 },
    ...Array.from({ length: falling }, (_, n) =>
      face(drop(x + size * (0.85 + n * 0.55), y + size * 0.3, size * (0.55 - n * 0.15)), ink),
    ),
  ];
}
