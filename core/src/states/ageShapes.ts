import type { RatePrior } from '../wear/wearBelief';

/**
 * What ages with time alone, along a curve of its own. Told over its progress instead of its months the curve is a
 * straight line, so that the wear model takes it as it is: `y = fresh − rate · progress`.
 */
export interface AgeShape {
  /** How far it has come after so many months: 0 when new, never falling. */
  readonly progress: (months: number) => number;
  /** The other way round; Infinity for what it never comes to. */
  readonly monthsAt: (progress: number) => number;
  /** Value told, in the measure's own terms, to the model's y and back: y falls as it ages. */
  readonly yOf: (value: number) => number;
  readonly valueOf: (y: number) => number;
  /** Uncertainty of a value told, in y. */
  readonly perValue: number;
  /** In y, when new. */
  readonly fresh: { readonly value: number; readonly sigma: number };
  readonly prior: RatePrior;
}

/** Brake fluid takes up water fast at first and slower as it fills: time constant, months. */
const UPTAKE_MONTHS = 60;
/** A battery keeps its current for years and loses it in one: power of its age, beside this many months. */
const FADE_POWER = 2.5;
const FADE_MONTHS = 60;

/** Built-in shapes and rates, wide: about 1 % water after a year, 3 % after five; 70 % of the rated current after five. */
export const AGE_SHAPES = {
  water: {
    progress: (months) => (UPTAKE_MONTHS / 12) * (1 - Math.exp(-months / UPTAKE_MONTHS)),
    monthsAt: (progress) => {
      const left = 1 - (progress * 12) / UPTAKE_MONTHS;
      return left > 0 ? -UPTAKE_MONTHS * Math.log(left) : Infinity;
    },
    yOf: (value) => -value,
    valueOf: (y) => -y,
    perValue: 1,
    fresh: { value: -0.2, sigma: 0.2 },
    prior: { mu: Math.log(0.9), sigma: 0.4, changes: 0, handU: 0.1 },
  },
  /** Told as a share of the rated current; y in tenths, near the size of what wears. */
  crank: {
    progress: (months) => (months / FADE_MONTHS) ** FADE_POWER,
    monthsAt: (progress) => FADE_MONTHS * progress ** (1 / FADE_POWER),
    yOf: (value) => value * 10,
    valueOf: (y) => y / 10,
    perValue: 10,
    fresh: { value: 10, sigma: 0.6 },
    prior: { mu: Math.log(3), sigma: 0.7, changes: 0, handU: 0.3 },
  },
} as const satisfies Record<string, AgeShape>;

export type AgeingMeasure = keyof typeof AGE_SHAPES;
export const agesByTime = (measure: string): measure is AgeingMeasure => measure in AGE_SHAPES;
