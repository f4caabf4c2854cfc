import type { MeasureCode } from '../catalogue/measures';
import { glycolShare } from '../limits/glycol';
import { coolantKind, placardAt, tyreTemperature, type GradingContext } from './compared';
import { pressureFromReference } from './pressureAtReference';
import { pointKey } from '../catalogue/catalogue';
import type { PointRef } from '../inspection/pointRef';
import { scaleOf, toReading } from '../limits/limitScale';
import type { LimitRow, Threshold } from '../limits/limitSheet';
import { rowsFor } from '../limits/rowsFor';

/**
 * The limits as they lie on a tape at one place, in the measure's own unit: value limits as they are; a placard's
 * shares as the pressures a gauge would show at today's tyre temperature; minimum, new value, rated value and lowest
 * temperature added back. Empty where nothing can be judged.
 */
export function tapeThresholds(ref: PointRef, measure: MeasureCode, context: GradingContext): Threshold[] {
  const { vehicle, inspection, rules } = context;
  const scope = { vehicle, house: rules.house, at: inspection.startedAt };
  return rowsFor(rules.sheet, measure, ref.point, ref.place, scope).flatMap((row) => {
    if (row.kind === 'mixture-freeze') return mixtureEdges(row, context);
    const toTape = tapeScale(row, ref, context);
    return toTape ? row.thresholds.map((edge) => ({ ...edge, value: toTape(edge.value) })) : [];
  });
}

/** Freeze points as the shares of glycol that give them: too little is too warm. */
function mixtureEdges({ thresholds }: LimitRow, { vehicle, rules }: GradingContext): Threshold[] {
  return thresholds.flatMap((edge): Threshold[] => {
    const share = glycolShare(rules.house.designLowC + edge.value, coolantKind(vehicle.spec));
    return share.status === 'value' ? [{ ...edge, bad: 'below', value: share.value }] : [];
  });
}

function tapeScale(row: LimitRow, ref: PointRef, context: GradingContext): ((limit: number) => number) | null {
  const { vehicle, inspection, rules, standing } = context;
  if (row.kind === 'placard-share') {
    const placardKpa = placardAt(vehicle, ref.place, inspection.load);
    const tyre = tyreTemperature(standing.get(pointKey(ref.point, ref.place)), inspection);
    if (placardKpa === null || 'why' in tyre) return null;
    return (share) => {
      const off = Math.max(Math.abs(share) * placardKpa, row.ignoreUpToKpa ?? 0);
      return pressureFromReference(placardKpa + Math.sign(share) * off, tyre.celsius, rules.house.altitudeM);
    };
  }
  const scale = scaleOf(row.kind, { vehicle, house: rules.house, place: ref.place, point: ref.point });
  return scale === null || typeof scale === 'string' ? null : (limit) => toReading(scale, limit);
}
