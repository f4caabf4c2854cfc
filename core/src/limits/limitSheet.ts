import type { Fluid, LeakStage } from '../catalogue/leaks';
import type { MeasureCode } from '../catalogue/measures';
import type { Word } from '../catalogue/words';
import type { VehicleClass } from '../vehicle/vehicle';

export type Basis = 'law' | 'maker' | 'house';

/** One edge: a value on the bad side of it earns the grade. `inclusive` counts the edge itself as bad. */
export interface Threshold {
  readonly grade: 'advisory' | 'fail';
  readonly bad: 'below' | 'above';
  readonly value: number;
  readonly inclusive: boolean;
  readonly basis: Basis;
  /** Where the limit comes from, in words. */
  readonly source: string;
}

/**
 * - `value`: each reading by itself
 * - `spread`: largest less smallest of one point's spots
 * - `across`: difference to the same point on the other side of the axle
 * - `inner-outer`: difference between the inner and the outer pad of one brake
 * - `placard-share`: (reading at 20 °C − placard) / placard, with the least difference in kPa that counts
 */
export type LimitKind = 'value' | 'spread' | 'across' | 'inner-outer' | 'placard-share';

export interface LimitRow {
  readonly measure: MeasureCode;
  readonly kind: LimitKind;
  /** Vehicle classes the row holds for; null for all. */
  readonly classes: readonly VehicleClass[] | null;
  readonly thresholds: readonly Threshold[];
  /** Only for `placard-share`: differences up to this many kPa never count. */
  readonly ignoreUpToKpa?: number;
}

export type LeakGrade = 'pass' | 'watch' | 'advisory' | 'fail';

export interface LimitSheet {
  readonly code: string;
  readonly version: number;
  readonly validFrom: string;
  readonly rows: readonly LimitRow[];
  /** By fluid, for the stages after dry. */
  readonly leaks: Readonly<Record<Fluid, Readonly<Record<Exclude<LeakStage, 'dry'>, LeakGrade>>>>;
  readonly words: Readonly<Record<Word, 'advisory' | 'fail'>>;
}

/** The rows of a sheet that hold for a measure on a class of vehicle. */
export function limitRows(sheet: LimitSheet, measure: MeasureCode, vehicleClass: VehicleClass): LimitRow[] {
  return sheet.rows.filter((row) => row.measure === measure && (row.classes?.includes(vehicleClass) ?? true));
}

/** The plain value limits of a measure: what is cut into the edge of its tape and drawn in its trend. */
export function valueThresholds(sheet: LimitSheet, measure: MeasureCode, vehicleClass: VehicleClass): Threshold[] {
  return limitRows(sheet, measure, vehicleClass).flatMap((row) => (row.kind === 'value' ? row.thresholds : []));
}
