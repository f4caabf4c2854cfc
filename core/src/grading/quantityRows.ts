import { cataloguePoint, pointKey } from '../catalogue/catalogue';
import { momentsOf, quantityKey } from '../catalogue/quantities';
import { groupBy } from '../sums/groupBy';
import type { Finding } from '../inspection/finding';
import type { PointRef } from '../inspection/pointRef';
import { GRADES, isWrong } from './grade';
import type { GradedPoint } from './verdict';

/** A point as it counts and is listed: what is read of one quantity at several moments of a visit is one row. */
export interface QuantityRow extends GradedPoint {
  /** What an earlier moment of the same visit had found, where a later one was looked at too; null without. */
  readonly foundAt: GradedPoint | null;
}

const isSeen = ({ result }: GradedPoint) => result.grade !== 'not-seen';
const isClosing = ({ point }: GradedPoint) => cataloguePoint(point).station === 'closing';

/**
 * One row for each quantity, in walking order: as found by its first look, as left by its last, graded by that. A moment
 * nobody looked at is answered by another of the visit, but for one that is only asked for when all else is done.
 */
export function quantityRows(points: readonly GradedPoint[]): QuantityRow[] {
  const byQuantity = groupBy(points, ({ point, place }) => quantityKey(point, place));
  const kept = new Map<GradedPoint, QuantityRow>();
  for (const moments of byQuantity.values())
    for (const row of rowsOf([...moments].sort(inMoments))) kept.set(row.of, row.row);
  return points.flatMap((point) => kept.get(point) ?? []);
}

/**
 * The moment of the same visit that answers a point nobody has looked at: the quantity was read true then. Null where the
 * point has a look of its own, and for what is asked for once more at closing up.
 */
export function answeredBy({ point, place }: PointRef, standing: ReadonlyMap<string, Finding>): PointRef | null {
  const tells = (one: Finding | undefined) =>
    one !== undefined && one.access !== 'open' && one.access !== 'not-reached' && one.outOf.length === 0;
  if (cataloguePoint(point).station === 'closing') return null;
  const own = standing.get(pointKey(point, place));
  if (own && own.access !== 'open') return null;
  const other = momentsOf(point).find((code) => code !== point && tells(standing.get(pointKey(code, place))));
  return other ? { point: other, place } : null;
}

const inMoments = (a: GradedPoint, b: GradedPoint) => {
  const order = momentsOf(a.point);
  return order.indexOf(a.point) - order.indexOf(b.point);
};

function rowsOf(moments: readonly GradedPoint[]): { readonly of: GradedPoint; readonly row: QuantityRow }[] {
  const alone = (of: GradedPoint) => ({ of, row: { ...of, foundAt: null } });
  const seen = moments.filter(isSeen);
  const [found] = seen;
  const left = seen.at(-1);
  if (!found || !left || moments.length === 1) return moments.map(alone);
  const after = moments.slice(moments.indexOf(left) + 1).filter(isClosing);
  if (found === left) return [alone(left), ...after.map(alone)];
  const asFound = found.result.asFound;
  const corrected = isWrong(asFound) && GRADES.indexOf(asFound) > GRADES.indexOf(left.result.grade);
  const result = { ...left.result, asFound, corrected: left.result.corrected || corrected };
  return [{ of: left, row: { ...left, result, foundAt: found } }, ...after.map(alone)];
}
