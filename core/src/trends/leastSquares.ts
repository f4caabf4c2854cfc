import { t80 } from './studentT';

export interface XY {
  readonly x: number;
  readonly y: number;
}

export interface LineFit {
  readonly n: number;
  /** y at x = 0, and change of y per x. */
  readonly intercept: number;
  readonly slope: number;
  readonly meanX: number;
  /** Σ(x − x̄)². */
  readonly sxx: number;
  /** Standard deviation of one reading about the line. */
  readonly sigma: number;
  readonly degreesOfFreedom: number;
}

/**
 * Weight of what is known of the gauge against the scatter seen, in degrees of freedom.
 * Two or three readings scatter too little to be trusted by themselves.
 */
const GAUGE_DEGREES = 4;

/**
 * Ordinary least squares through readings with known gauge uncertainty. The scatter pools the residuals with `u`
 * (a scaled inverse-χ² prior of 4 degrees), so two readings already have an honest width.
 *
 * @param u standard uncertainty of one reading, unit of y, > 0
 * @returns undefined with fewer than two different x: no line goes through one place
 */
export function fitLine(readings: readonly XY[], u: number): LineFit | undefined {
  const n = readings.length;
  const meanX = readings.reduce((sum, { x }) => sum + x, 0) / n;
  const meanY = readings.reduce((sum, { y }) => sum + y, 0) / n;
  const sxx = readings.reduce((sum, { x }) => sum + (x - meanX) ** 2, 0);
  if (n < 2 || !(sxx > 0)) return undefined;
  const slope = readings.reduce((sum, { x, y }) => sum + (x - meanX) * (y - meanY), 0) / sxx;
  const intercept = meanY - slope * meanX;
  const residual = readings.reduce((sum, { x, y }) => sum + (y - intercept - slope * x) ** 2, 0);
  const degreesOfFreedom = GAUGE_DEGREES + n - 2;
  const sigma = Math.sqrt((GAUGE_DEGREES * u ** 2 + residual) / degreesOfFreedom);
  return { n, intercept, slope, meanX, sxx, sigma, degreesOfFreedom };
}

/** The line at `x` with the half-width of its 80 % interval. */
export function lineAt(fit: LineFit, x: number): { readonly y: number; readonly half: number } {
  const half = t80(fit.degreesOfFreedom) * fit.sigma * Math.sqrt(1 / fit.n + (x - fit.meanX) ** 2 / fit.sxx);
  return { y: fit.intercept + fit.slope * x, half };
}

export interface Crossing {
  /** Where the line meets the limit, and the 80 % interval; `high` is null when it may never be met. */
  readonly low: number;
  readonly mid: number;
  readonly high: number | null;
}

/**
 * Where a falling line meets `limit` (Fieller's interval): all x at which the line's own 80 % interval holds the limit.
 *
 * @returns undefined when the line does not fall, or when the scatter allows it not to fall *and* gives no lower end
 */
export function crossingOf(fit: LineFit, limit: number): Crossing | undefined {
  if (!(fit.slope < 0)) return undefined;
  const mid = (limit - fit.intercept) / fit.slope;
  // (a + b·x − L)² = t²σ²(1/n + (x − x̄)²/Sxx), in z = x − x̄.
  const width = (t80(fit.degreesOfFreedom) * fit.sigma) ** 2;
  const gap = fit.intercept + fit.slope * fit.meanX - limit;
  const a = fit.slope ** 2 - width / fit.sxx;
  const b = 2 * fit.slope * gap;
  const c = gap ** 2 - width / fit.n;
  const root = b ** 2 - 4 * a * c;
  if (root < 0) return undefined;
  const ends = [(-b - Math.sqrt(root)) / (2 * a), (-b + Math.sqrt(root)) / (2 * a)]
    .map((z) => z + fit.meanX)
    .sort((p, q) => p - q);
  const [first, second] = ends as [number, number];
  if (a > 0) return { low: first, mid, high: second };
  // The slope may be zero within its uncertainty: the interval is open above; its lower end is the root below the mean line's crossing.
  const low = [first, second].filter((x) => x <= mid).pop();
  return low === undefined ? undefined : { low, mid, high: null };
}
