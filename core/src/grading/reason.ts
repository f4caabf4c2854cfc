import type { CodeState, CountedItem, LampSpot } from '../catalogue/counted';
import type { Fluid, LeakPlace, LeakReach, LeakStage } from '../catalogue/leaks';
import type { MeasureCode } from '../catalogue/measures';
import type { Need, Spot } from '../catalogue/points/point';
import type { Word } from '../catalogue/words';
import type { AccessReason, Bound, Carried, GradeOverride } from '../inspection/finding';
import type { Basis, LimitKind, Threshold } from '../limits/limitSheet';
import type { AheadNote } from '../inspection/aheadNote';
import type { Grade } from './grade';

/** Why a reading is kept without being judged. */
export type NotJudged =
  | 'no-row'
  | 'no-placard'
  | 'tyre-not-cold'
  | 'no-temperature'
  | 'no-minimum'
  | 'no-new-value'
  | 'no-rated-value'
  | 'other-standard'
  | 'not-charged'
  | 'not-measured'
  | 'no-torque'
  | 'mixture-turns';

/** Why a point has its grade, as data: what was compared with what, by which rule, from which source. */
export type Reason =
  | {
      readonly rule: 'limit';
      readonly kind: LimitKind;
      readonly grade: Grade;
      readonly measure: MeasureCode;
      readonly spot: Spot;
      /** What was judged, in the unit of the limit (a share, a difference, years …). */
      readonly value: number;
      /** `over` and `under`: the truth is more, or at most, the value. */
      readonly bound: Bound;
      /** The edge that was crossed; for a pass the nearest edge that was not. */
      readonly threshold: Threshold;
      readonly closeCall: boolean;
      /** Only for `placard-share`: the pressure at 20 °C and the placard, kPa. */
      readonly pressure?: { readonly atReferenceKpa: number; readonly placardKpa: number };
    }
  | {
      /** A bound that does not tell on which side of an edge the truth lies. */
      readonly rule: 'undecided';
      readonly grade: 'recorded';
      readonly measure: MeasureCode;
      readonly spot: Spot;
      readonly value: number;
      readonly bound: Bound;
      readonly threshold: Threshold;
    }
  | {
      readonly rule: 'leak';
      readonly grade: Grade;
      readonly watch: boolean;
      readonly fluid: Fluid;
      readonly stage: LeakStage;
      readonly place: LeakPlace | null;
      readonly reaches: LeakReach;
      readonly basis: Basis;
    }
  | { readonly rule: 'word'; readonly grade: Grade; readonly word: Word; readonly basis: Basis }
  | {
      /** Metal in a drained fluid, and what it is put down to. `asked`: not graded before the questions are answered. */
      readonly rule: 'glitter';
      readonly grade: Grade;
      readonly word: Word;
      readonly why: 'asked' | 'pan' | 'running-in' | 'metal';
      readonly basis: Basis;
    }
  | {
      readonly rule: 'count';
      readonly grade: Grade;
      readonly item: CountedItem;
      readonly good: number;
      readonly of: number;
      /** Which lamps are out, where all of them were said. */
      readonly out?: readonly LampSpot[];
      readonly basis: Basis;
    }
  | {
      readonly rule: 'code';
      readonly grade: Grade;
      readonly code: string;
      readonly state: CodeState;
      /** Read again after clearing in the same visit, and not there any more: nothing that stands. */
      readonly gone: boolean;
      readonly basis: Basis;
    }
  /** Passes today and likely not until the vehicle comes again: a wear reading that the forecast sees under its fail limit. */
  | ({ readonly rule: 'ahead'; readonly grade: 'advisory'; readonly basis: Basis } & Omit<AheadNote, 'point' | 'place'>)
  /** Read in a state the point does not allow: kept, not judged, asked again. */
  | { readonly rule: 'out-of-condition'; readonly grade: 'not-seen'; readonly needs: readonly Need[] }
  /** The other one of its axle is worn or leaks: both are renewed. */
  | { readonly rule: 'pair'; readonly grade: 'pass' }
  | { readonly rule: 'sound'; readonly grade: 'pass' }
  | { readonly rule: 'not-looked-at'; readonly grade: 'not-seen' }
  | { readonly rule: 'not-reached'; readonly grade: 'not-seen'; readonly why: AccessReason | null }
  | { readonly rule: 'partly-seen'; readonly grade: 'not-seen'; readonly why: AccessReason | null }
  | {
      readonly rule: 'reading-missing';
      readonly grade: 'not-seen';
      /** The measures any of which would do. */
      readonly measures: readonly MeasureCode[];
      readonly spots: readonly Spot[];
    }
  | {
      readonly rule: 'no-limit';
      readonly grade: 'recorded';
      readonly measure: MeasureCode;
      readonly why: NotJudged;
    };

/** What a point comes to, and every reason for it. */
export interface PointGrade {
  /** What counts: the given grade where a person gave one, else the computed. */
  readonly grade: Grade;
  /** What the rules say of the point as it was left. */
  readonly computed: Grade;
  readonly override: GradeOverride | null;
  /** A limit of the law failed: only a lead may grade it otherwise. */
  readonly failsLaw: boolean;
  /** Passed, but to be looked at again: it comes up by itself next time. */
  readonly watch: boolean;
  /** Found worse than it was left. */
  readonly corrected: boolean;
  /** As found, before anything was put right. */
  readonly asFound: Grade;
  readonly closeCall: boolean;
  /** An earlier look stands in for today's. */
  readonly carried: Carried | null;
  /** Worst first. */
  readonly reasons: readonly Reason[];
}
