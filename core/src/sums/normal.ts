/** Standard normal distribution function; absolute error below 7.5e-8 (Abramowitz & Stegun 26.2.17). */
export function normalCdf(z: number): number {
  if (z > 8) return 1;
  if (z < -8) return 0;
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    0.3989422804014327 *
    Math.exp((-z * z) / 2) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z >= 0 ? 1 - tail : tail;
}

/** Nodes and weights of a five-point rule for means over a standard normal (Gauss and Hermite). */
export const NORMAL_NODES: readonly (readonly [number, number])[] = [
  [-2.856970013872806, 0.011257411327720691],
  [-1.355626179974266, 0.2220759220056126],
  [0, 0.5333333333333333],
  [1.355626179974266, 0.2220759220056126],
  [2.856970013872806, 0.011257411327720691],
];

const FARTHEST_SIGMA = 7;

/** Standard deviations below which this share of a standard normal lies: the other way round of {@link normalCdf}; ±7 at most. */
export function normalQuantile(share: number): number {
  let [low, high] = [-FARTHEST_SIGMA, FARTHEST_SIGMA];
  while (high - low > 1e-9) {
    const half = (low + high) / 2;
    if (normalCdf(half) < share) low = half;
    else high = half;
  }
  return (low + high) / 2;
}

/** 80 % of a normal lie within so many standard deviations of its middle. */
export const HALF_80 = 1.2816;
