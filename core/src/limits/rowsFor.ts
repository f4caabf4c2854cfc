import { parsePlace } from '../vehicle/place';
import type { MeasureCode } from '../catalogue/measures';
import type { PointCode } from '../catalogue/catalogue';
import type { HouseRules } from '../house/houseRules';
import { axleAt, type Place, type Vehicle } from '../vehicle/vehicle';
import type { AppliesTo, LimitRow, LimitSheet, Threshold } from './limitSheet';

/** The vehicle and rules a limit is looked up for. */
export interface LimitScope {
  readonly vehicle: Pick<Vehicle, 'class' | 'axles' | 'makeUp' | 'spec'>;
  readonly house: Pick<HouseRules, 'liningAs' | 'winterMonths'>;
  /** ISO date of the visit. */
  readonly at: string;
}

/** The rows of a sheet that hold for a measure at one point and place of a vehicle. */
export function rowsFor(
  sheet: LimitSheet,
  measure: MeasureCode,
  point: PointCode,
  place: Place,
  scope: LimitScope,
): LimitRow[] {
  return sheet.rows.filter(
    (row) =>
      row.measure === measure &&
      holdsFor(row.applies, point, place, scope) &&
      (row.kind !== 'share-of-new' || scope.house.liningAs === 'percent') &&
      (row.kind !== 'twins' || axleAt(scope.vehicle.axles, place)?.dual === true) &&
      (row.kind !== 'front-rear' || scope.vehicle.makeUp.drive === 'four-permanent'),
  );
}

function holdsFor(applies: AppliesTo, point: PointCode, place: Place, { vehicle, house, at }: LimitScope): boolean {
  const { spec, makeUp } = vehicle;
  const axle = axleAt(vehicle.axles, place);
  const isWinter = house.winterMonths.includes(Number(at.slice(5, 7)));
  const checks: readonly (readonly [unknown, boolean])[] = [
    [applies.classes, applies.classes?.includes(vehicle.class) ?? true],
    [applies.points, applies.points?.includes(point) ?? true],
    [applies.axles, applies.axles === (parsePlace(place)?.axle === 1 ? 'front' : 'rear')],
    [applies.wheels, axle !== undefined && axle.dual === (applies.wheels === 'dual')],
    [applies.season, isWinter && (applies.season === 'winter-months' || makeUp.winterTyres)],
    [applies.brakeFluid, applies.brakeFluid === spec.brakeFluid],
    [applies.charging, (applies.charging === 'smart') === spec.smartCharging],
    [applies.batteries, applies.batteries?.includes(spec.battery.type) ?? true],
  ];
  return checks.every(([asked, holds]) => asked === undefined || holds);
}

/** The plain value limits of a measure: what is cut into the edge of its tape and drawn in its trend. */
export function valueThresholds(
  sheet: LimitSheet,
  measure: MeasureCode,
  point: PointCode,
  place: Place,
  scope: LimitScope,
): Threshold[] {
  return rowsFor(sheet, measure, point, place, scope).flatMap((row) => (row.kind === 'value' ? row.thresholds : []));
}
