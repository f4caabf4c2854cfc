import type { MeasureCode } from '../catalogue/measures';
import { placardAt, tyreTemperature, type GradingContext } from '../grading/compared';
import { pressureFromReference } from '../grading/pressureAtReference';
import { pointKey } from '../catalogue/catalogue';
import type { PointRef } from '../inspection/walkSteps';
import { axleAt } from '../vehicle/vehicle';
import type { LimitRow, Threshold } from './limitSheet';
import { rowsFor } from './rowsFor';

/**
 * The limits as they lie on a tape at one place, in the measure's own unit: value limits as they are; a placard's
 * shares as the pressures a gauge would show at today's tyre temperature; minimum, new value, rated value and lowest
 * temperature added back. Empty where nothing can be judged.
 */
export function tapeThresholds(ref: PointRef, measure: MeasureCode, context: GradingContext): Threshold[] {
  const { vehicle, inspection, rules } = context;
  const scope = { vehicle, house: rules.house, at: inspection.startedAt };
  return rowsFor(rules.sheet, measure, ref.point, ref.place, scope).flatMap((row) => {
    const toTape = tapeScale(row, ref, context);
    return toTape ? row.thresholds.map((edge) => ({ ...edge, value: toTape(edge.value) })) : [];
  });
}

function tapeScale(row: LimitRow, ref: PointRef, context: GradingContext): ((limit: number) => number) | null {
  const { vehicle, inspection, rules, standing } = context;
  const axle = axleAt(vehicle.axles, ref.place);
  const times = (factor: number | null | undefined) => (factor ? (limit: number) => limit * factor : null);
  switch (row.kind) {
    case 'value':
      return (limit) => limit;
    case 'placard-share': {
      const placardKpa = placardAt(vehicle, ref.place, inspection.load);
      const tyre = tyreTemperature(standing.get(pointKey(ref.point, ref.place)), inspection);
      if (placardKpa === null || 'why' in tyre) return null;
      return (share) => {
        const off = Math.max(Math.abs(share) * placardKpa, row.ignoreUpToKpa ?? 0);
        return pressureFromReference(placardKpa + Math.sign(share) * off, tyre.celsius);
      };
    }
    case 'over-minimum': {
      const minimum = axle?.discMinimumMm ?? null;
      return minimum === null ? null : (limit) => minimum + limit;
    }
    case 'share-of-new':
      return times(axle?.liningNewMm);
    case 'rated-share':
      return times(vehicle.spec.battery.ratedA);
    case 'per-12-volts':
      return times(vehicle.spec.systemVolts / 12);
    case 'over-design-low':
      return (limit) => limit + rules.house.designLowC;
    default:
      return null;
  }
}
