import type { CodeState, Lamp } from '../catalogue/counted';
import type { Fluid, LeakStage } from '../catalogue/leaks';
import type { MeasureCode } from '../catalogue/measures';
import type { PointCode } from '../catalogue/catalogue';
import type { Vocabulary, Word } from '../catalogue/words';
import type { BatteryType, BrakeFluidGrade } from '../vehicle/specSheet';
import type { VehicleClass } from '../vehicle/vehicle';

export const BASES = ['law', 'maker', 'house'] as const;
/** Who set a limit. */
export type Basis = (typeof BASES)[number];

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
 * - `front-rear`: difference to the same side of the other axle, permanent four-wheel drive
 * - `placard-share`: (reading at 20 °C − placard) / placard, with the least difference in kPa that counts
 * - `over-minimum`: reading − the minimum of the spec sheet, mm
 * - `share-of-new`: reading / new value of the spec sheet, where the house tells lining in percent
 * - `rated-share`: reading / rated value, same test standard
 * - `age`: years from the week of making to the visit
 * - `over-design-low`: reading − the lowest temperature to expect, K
 * - `per-12-volts`: reading scaled to a 12 V system
 * - `torque-share`: reading / the torque of the spec sheet for that fastener
 * - `mixture-freeze`: freeze point of the mixture with that share of glycol − the lowest temperature to expect, K
 * - `twins`: difference to the other tyre of a dual pair
 */
export const LIMIT_KINDS = [
  'value',
  'spread',
  'across',
  'inner-outer',
  'front-rear',
  'placard-share',
  'over-minimum',
  'share-of-new',
  'rated-share',
  'age',
  'over-design-low',
  'per-12-volts',
  'torque-share',
  'mixture-freeze',
  'twins',
] as const;
/** What a limit is compared with: the reading itself, or something made of it. */
export type LimitKind = (typeof LIMIT_KINDS)[number];

export const SEASONS = ['winter', 'winter-months'] as const;

/** What a row holds for; everything left out holds for all. */
export interface AppliesTo {
  readonly classes?: readonly VehicleClass[];
  readonly points?: readonly PointCode[];
  readonly axles?: 'front' | 'rear';
  readonly wheels?: 'single' | 'dual';
  /** `winter`: winter-marked tyres in a winter month; `winter-months`: whatever it is, in a winter month. */
  readonly season?: (typeof SEASONS)[number];
  readonly brakeFluid?: BrakeFluidGrade;
  readonly charging?: 'plain' | 'smart';
  readonly batteries?: readonly BatteryType[];
}

/** The limits of one measure, and what they hold for. */
export interface LimitRow {
  readonly measure: MeasureCode;
  readonly kind: LimitKind;
  readonly applies: AppliesTo;
  readonly thresholds: readonly Threshold[];
  /** Only for `placard-share`: differences up to this many kPa never count. */
  readonly ignoreUpToKpa?: number;
}

/** `recorded`: worth noting, never a grade; `watch`: passes and comes up again. */
export const LEAK_GRADES = ['pass', 'watch', 'advisory', 'fail'] as const;
/** What a stage of a leak comes to. */
export type LeakGrade = (typeof LEAK_GRADES)[number];
export const WORD_GRADES = ['pass', 'recorded', 'advisory', 'fail'] as const;
/** What a word comes to. */
export type WordGrade = (typeof WORD_GRADES)[number];

/** Every limit of one law or custom, from a day on. */
export interface LimitSheet {
  readonly code: string;
  readonly version: number;
  readonly validFrom: string;
  readonly rows: readonly LimitRow[];
  /** By fluid, for the stages after dry. */
  readonly leaks: Readonly<Record<Fluid, Readonly<Record<Exclude<LeakStage, 'dry'>, LeakGrade>>>>;
  /** By vocabulary: the same word weighs differently on a belt and on a disc. */
  readonly words: Readonly<Record<Vocabulary, Readonly<Partial<Record<Word, WordGrade>>>>>;
  readonly lamps: Readonly<Record<Lamp, 'advisory' | 'fail'>>;
  /** Points whose count must be whole; any other short count is an advisory. */
  readonly countFails: readonly PointCode[];
  readonly codes: Readonly<Record<CodeState, WordGrade>>;
}

/** The grade of a word of a vocabulary; `advisory` for one the sheet does not name, so that nothing said is lost as a pass. */
export function wordGrade(sheet: LimitSheet, vocabulary: Vocabulary, word: Word): WordGrade {
  return sheet.words[vocabulary][word] ?? 'advisory';
}

/** What a limit sheet gets wrong: the field, and what is wanted there. */
export interface SheetProblem {
  readonly field: string;
  readonly code: 'fail-inside-advisory' | 'no-threshold' | 'not-a-number' | 'share-range';
}

const SHARES: readonly LimitKind[] = ['placard-share', 'share-of-new', 'rated-share', 'torque-share'];

/** Checks the rows of a sheet: every row has a limit, and fail lies beyond advisory on the same side. */
export function sheetProblems(sheet: Pick<LimitSheet, 'rows'>): SheetProblem[] {
  return sheet.rows.flatMap((row, index): SheetProblem[] => {
    const at = `rows.${index}`;
    if (row.thresholds.length === 0) return [{ field: `${at}.thresholds`, code: 'no-threshold' }];
    return row.thresholds.flatMap((edge, n): SheetProblem[] => {
      const field = `${at}.thresholds.${n}.value`;
      if (!Number.isFinite(edge.value)) return [{ field, code: 'not-a-number' }];
      if (SHARES.includes(row.kind) && Math.abs(edge.value) > 3) return [{ field, code: 'share-range' }];
      if (edge.grade !== 'fail') return [];
      const inside = row.thresholds.some(
        (other) =>
          other.grade === 'advisory' &&
          other.bad === edge.bad &&
          (edge.bad === 'below' ? edge.value > other.value : edge.value < other.value),
      );
      return inside ? [{ field, code: 'fail-inside-advisory' }] : [];
    });
  });
}
