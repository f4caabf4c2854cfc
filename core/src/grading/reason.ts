import type { Fluid, LeakReach, LeakStage } from '../catalogue/leaks';
import type { MeasureCode } from '../catalogue/measures';
import type { Spot } from '../catalogue/points';
import type { Word } from '../catalogue/words';
import type { AccessReason } from '../inspection/finding';
import type { Basis, LimitKind, Threshold } from '../limits/limitSheet';
import type { Grade } from './grade';

/** Why a point has its grade, as data: what was compared with what, by which rule, from which source. */
export type Reason =
  | {
      readonly rule: 'limit';
      readonly kind: LimitKind;
      readonly grade: Grade;
      readonly measure: MeasureCode;
      readonly spot: Spot;
      /** What was judged, in the unit of the limit (a share for `placard-share`). */
      readonly value: number;
      /** The edge that was crossed; for a pass the nearest edge that was not. */
      readonly threshold: Threshold;
      readonly closeCall: boolean;
      /** Only for `placard-share`: the pressure at 20 °C and the placard, kPa. */
      readonly pressure?: { readonly atReferenceKpa: number; readonly placardKpa: number };
    }
  | {
      readonly rule: 'leak';
      readonly grade: Grade;
      readonly watch: boolean;
      readonly fluid: Fluid;
      readonly stage: LeakStage;
      readonly reaches: LeakReach;
      readonly basis: Basis;
    }
  | { readonly rule: 'word'; readonly grade: Grade; readonly word: Word; readonly basis: Basis }
  | { readonly rule: 'sound'; readonly grade: 'pass' }
  | { readonly rule: 'not-looked-at'; readonly grade: 'not-seen' }
  | { readonly rule: 'not-reached'; readonly grade: 'not-seen'; readonly why: AccessReason | null }
  | { readonly rule: 'partly-seen'; readonly grade: 'not-seen'; readonly why: AccessReason | null }
  | {
      readonly rule: 'reading-missing';
      readonly grade: 'not-seen';
      readonly measure: MeasureCode;
      readonly spots: readonly Spot[];
    }
  | {
      readonly rule: 'no-limit';
      readonly grade: 'recorded';
      readonly measure: MeasureCode;
      readonly why: 'no-row' | 'no-placard' | 'tyre-not-cold' | 'no-temperature';
    };

export interface PointGrade {
  readonly grade: Grade;
  /** Passed, but to be looked at again: it comes up by itself next time. */
  readonly watch: boolean;
  /** Found worse than it was left. */
  readonly corrected: boolean;
  /** As found, before anything was put right. */
  readonly asFound: Grade;
  readonly closeCall: boolean;
  /** Worst first. */
  readonly reasons: readonly Reason[];
}
