import type { CrankStandard } from '../vehicle/specSheet';
import type { BatteryType } from '../vehicle/specSheet';
import { interpolate } from '../sums/interpolate';

/** Rest voltage of a 12 V battery by state of charge at 25 °C, after two hours of rest; approximate. */
const FLOODED: readonly (readonly [number, number])[] = [
  [11.9, 0],
  [12.06, 25],
  [12.24, 50],
  [12.45, 75],
  [12.72, 100],
];
const AGM: readonly (readonly [number, number])[] = [
  [11.8, 0],
  [12, 25],
  [12.3, 50],
  [12.6, 75],
  [12.85, 100],
];

/** How full a battery is, as far as its rest voltage tells. */
export type StateOfCharge =
  | { readonly status: 'about'; readonly percent: number }
  | { readonly status: 'empty' }
  | { readonly status: 'full' }
  /** Only the maker's own table tells. */
  | { readonly status: 'unknown' };

/** State of charge from the rest voltage, about. `volts` of a 12 V battery; halve a 24 V reading first. */
export function stateOfCharge(volts: number, type: BatteryType): StateOfCharge {
  if (type === 'lithium') return { status: 'unknown' };
  const table = type === 'agm' ? AGM : FLOODED;
  const percent = interpolate(table, volts);
  if (percent !== null) return { status: 'about', percent };
  return { status: volts < (table[0]?.[0] ?? 0) ? 'empty' : 'full' };
}

/**
 * Health as measured over rated cranking current; null where the two are of different standards: they are never
 * converted into each other.
 */
export function batteryHealth(
  measured: { readonly amperes: number; readonly standard: CrankStandard },
  rated: { readonly amperes: number; readonly standard: CrankStandard },
): number | null {
  if (!(rated.amperes > 0)) throw new RangeError('the rated current must be over 0 A');
  return measured.standard === rated.standard ? measured.amperes / rated.amperes : null;
}
