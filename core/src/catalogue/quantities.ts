import { entryOf } from '../sums/keyed';
import { CATALOGUE, pointKey, type PointCode } from './catalogue';
import type { Place } from '../vehicle/vehicle';

/**
 * Points that read one quantity of the vehicle at another moment of a visit, with the point it is kept under: what the
 * stick says before the first start, with the bonnet up and after settling is one oil level. A glance at the belts from
 * above is none of these: it is a lesser look, not a later one.
 */
const READ_AGAIN: Readonly<Partial<Record<PointCode, PointCode>>> = {
  'cold.oil': 'oil.level',
  'close.level': 'oil.level',
  'cold.coolant': 'coolant.level',
  'cold.brakefluid': 'brake.fluid.level',
  'close.codes': 'cabin.codes',
  'close.indicator': 'cabin.indicator',
};

/** The point a quantity is kept under: the point itself where no other reads the same. */
export function quantityOf(point: PointCode): PointCode {
  return entryOf<PointCode>(READ_AGAIN, point) ?? point;
}

/** As the key of a point, of the quantity it reads. */
export function quantityKey(point: PointCode, place: Place): string {
  return pointKey(quantityOf(point), place);
}

const MOMENTS = new Map<PointCode, PointCode[]>();
for (const { code } of CATALOGUE) {
  const quantity = quantityOf(code);
  MOMENTS.set(quantity, [...(MOMENTS.get(quantity) ?? []), code]);
}

/** The points that read one quantity, in the order of a visit; only the point itself where no other reads the same. */
export function momentsOf(point: PointCode): readonly PointCode[] {
  return MOMENTS.get(quantityOf(point)) ?? [point];
}
