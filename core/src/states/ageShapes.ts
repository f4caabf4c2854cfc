/** One way a kind may age, and how likely that is before anything is read. */
export interface AgeCurve {
  readonly scale: number;
  readonly bend: number;
  readonly weight: number;
}

/**
 * What ages with time alone, along a curve of its own: a family of curves with a scale and a bend each, weighed before
 * anything is read. Told in y, which falls: tenths of a battery's rating, less water than none.
 */
export interface AgeShape {
  readonly curves: readonly AgeCurve[];
  /** Lost since new after so many months, y. Never falling. */
  readonly lost: (curve: Pick<AgeCurve, 'scale' | 'bend'>, months: number) => number;
  /** The other way round; Infinity for what it never loses. */
  readonly monthsAt: (curve: Pick<AgeCurve, 'scale' | 'bend'>, lost: number) => number;
  /** Value told, in the measure's own terms, to y and back; and y per unit of the value. */
  readonly yOf: (value: number) => number;
  readonly valueOf: (y: number) => number;
  readonly perValue: number;
  /** In y, when new. */
  readonly fresh: { readonly value: number; readonly sigma: number };
  /** Standard deviation of what a reading is off beyond its gauge: the day's charge, the sample taken; y. */
  readonly handU: number;
}

/** What a battery has lost at the end of its life, tenths of its rating. */
const SPENT = 4;

/**
 * Built in, wide. Brake fluid fills towards what it can hold (scale, % water) ever slower (bend, months): about 1 % after
 * a year, 3 % after five. A battery loses `(age/life)^bend` of what it may lose: life (scale) some five years, give or
 * take half, slowly at first and then fast.
 */
export const AGE_SHAPES = {
  water: {
    curves: grid(logGrid(4.3, 0.22, 7), logGrid(55, 0.4, 9)),
    lost: ({ scale, bend }, months) => scale * (1 - Math.exp(-months / bend)),
    monthsAt: ({ scale, bend }, lost) => (lost < scale ? -bend * Math.log(1 - Math.max(0, lost) / scale) : Infinity),
    yOf: (value) => -value,
    valueOf: (y) => -y,
    perValue: 1,
    fresh: { value: -0.2, sigma: 0.15 },
    handU: 0.1,
  },
  crank: {
    curves: grid(logGrid(64, 0.45, 15), [
      [1.5, 0.2],
      [2.5, 0.3],
      [3.6, 0.3],
      [5, 0.2],
    ]),
    lost: ({ scale, bend }, months) => SPENT * (months / scale) ** bend,
    monthsAt: ({ scale, bend }, lost) => scale * (Math.max(0, lost) / SPENT) ** (1 / bend),
    yOf: (value) => value * 10,
    valueOf: (y) => y / 10,
    perValue: 10,
    fresh: { value: 10, sigma: 0.4 },
    handU: 0.15,
  },
} as const satisfies Record<string, AgeShape>;

/** A measure that ages with time rather than distance. */
export type AgeingMeasure = keyof typeof AGE_SHAPES;
export const agesByTime = (measure: string): measure is AgeingMeasure => measure in AGE_SHAPES;

/** Values about a middle, even in their logarithm over two and a half standard deviations each way, with their weights. */
function logGrid(middle: number, sigma: number, nodes: number): (readonly [value: number, weight: number])[] {
  const steps = Array.from({ length: nodes }, (_, node) => -2.5 + (5 * node) / (nodes - 1));
  const total = steps.reduce((sum, z) => sum + Math.exp(-0.5 * z * z), 0);
  return steps.map((z) => [middle * Math.exp(sigma * z), Math.exp(-0.5 * z * z) / total]);
}

function grid(
  scales: readonly (readonly [number, number])[],
  bends: readonly (readonly [number, number])[],
): AgeCurve[] {
  return scales.flatMap(([scale, first]) => bends.map(([bend, second]) => ({ scale, bend, weight: first * second })));
}
