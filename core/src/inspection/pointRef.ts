import type { PointCode } from '../catalogue/catalogue';
import type { Place } from '../vehicle/vehicle';

/** A point of the catalogue at its place on one vehicle. */
export interface PointRef {
  readonly point: PointCode;
  readonly place: Place;
}
