/** A point of a plane. */
export interface PlanePoint {
  readonly x: number;
  readonly y: number;
}

/** A line through the middle of its points; unit of y for one of x. */
export interface StraightLine {
  readonly middle: PlanePoint;
  readonly slope: number;
}

/** Least squares (Gauss 1809); null for fewer than two points, or where all stand at one x. */
export function lineThrough(points: readonly PlanePoint[]): StraightLine | null {
  const mean = (of: (point: PlanePoint) => number) => points.reduce((sum, one) => sum + of(one), 0) / points.length;
  const middle = { x: mean(({ x }) => x), y: mean(({ y }) => y) };
  const sxx = points.reduce((sum, { x }) => sum + (x - middle.x) ** 2, 0);
  const sxy = points.reduce((sum, { x, y }) => sum + (x - middle.x) * (y - middle.y), 0);
  return points.length < 2 || !(sxx > 0) ? null : { middle, slope: sxy / sxx };
}

/** Where a falling line comes down to `y`; null for one that does not fall. */
export function comesDownTo({ middle, slope }: StraightLine, y: number): number | null {
  return slope < 0 ? middle.x + (y - middle.y) / slope : null;
}

export const heightAt = ({ middle, slope }: StraightLine, x: number): number => middle.y + slope * (x - middle.x);
