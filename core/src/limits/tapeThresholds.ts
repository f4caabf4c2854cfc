import { pressureFromReference } from '../grading/pressureAtReference';
import type { Inspection } from '../inspection/finding';
import { axleAt, type Place, type Vehicle } from '../vehicle/vehicle';
import type { MeasureCode } from '../catalogue/measures';
import { limitRows, valueThresholds, type LimitSheet, type Threshold } from './limitSheet';

/**
 * The limits as they lie on a tape at one place: value limits as they are, a placard's shares as the pressures a gauge
 * would show at today's temperature, kPa. Empty where nothing can be judged: no placard, or the tyre is not cold.
 */
export function tapeThresholds(
  sheet: LimitSheet,
  measure: MeasureCode,
  place: Place,
  vehicle: Pick<Vehicle, 'class' | 'axles'>,
  { state, ambientC }: Pick<Inspection, 'state' | 'ambientC'>,
): Threshold[] {
  const placardKpa = axleAt(vehicle.axles, place)?.placardKpa ?? null;
  const shares = limitRows(sheet, measure, vehicle.class).filter((row) => row.kind === 'placard-share');
  const placed =
    placardKpa === null || state !== 'cold' || ambientC === null
      ? []
      : shares.flatMap((row) =>
          row.thresholds.map((edge) => {
            const off = Math.max(Math.abs(edge.value) * placardKpa, row.ignoreUpToKpa ?? 0);
            const referenceKpa = placardKpa + Math.sign(edge.value) * off;
            return { ...edge, value: pressureFromReference(referenceKpa, ambientC) };
          }),
        );
  return [...valueThresholds(sheet, measure, vehicle.class), ...placed];
}
