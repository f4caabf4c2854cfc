import type { PointCode } from '../catalogue/catalogue';
import type { Spot } from '../catalogue/points/point';
import { JOB_CODES, type Job } from '../vehicle/jobs';
import type { Place } from '../vehicle/vehicle';

/** What is done at a vehicle: a job of service, a brake's parts renewed, or what was found at a point put right. */
export const WORK_CODES = [...JOB_CODES, 'pads', 'shoes', 'discs', 'put-right'] as const;
/** What is done, as a code that words hang on. */
export type WorkCode = (typeof WORK_CODES)[number];

/** What is done and where. */
export interface WorkTask {
  readonly code: WorkCode;
  /** The point that is put right; null for all other codes. */
  readonly point: PointCode | null;
  /** The workshop's own name; empty where the code says it all. */
  readonly name: string;
  /** A whole axle where both sides go together; empty for the vehicle as a whole. */
  readonly place: Place;
}

/** Why something is to be done, as it was known when the work was written down. */
export type WorkReason =
  | {
      readonly kind: 'finding';
      readonly inspectionId: string;
      readonly point: PointCode;
      readonly place: Place;
      readonly grade: 'advisory' | 'fail';
      /** When it was found, ISO 8601. */
      readonly at: string;
    }
  | {
      readonly kind: 'runs-out';
      readonly point: PointCode;
      readonly place: Place;
      readonly spot: Spot;
      /** When it was last read, ISO 8601. */
      readonly at: string;
      /** From then on it may be at its limit (1 in 10), by then it most likely is (9 in 10); ISO dates. */
      readonly from: string;
      readonly to: string | null;
    }
  | { readonly kind: 'due'; readonly job: Job; /** ISO date. */ readonly on: string }
  | {
      readonly kind: 'bolts';
      /** On the meter, km. */
      readonly fromKm: number;
      readonly toKm: number;
      /** When a wheel was off, ISO 8601. */
      readonly at: string;
    };

/**
 * How soon, most urgent first: not driven before it is done; before the next drive of any length; between two dates by the
 * forecast; at the next visit; watched only.
 */
export const URGENCIES = ['not-driven', 'before-next', 'by', 'next-visit', 'watch'] as const;
/** How soon a work is wanted. */
export type Urgency = (typeof URGENCIES)[number];

/** A part a work takes. */
export interface WorkPart {
  readonly name: string;
  /** The maker's or the shelf's; may be empty. */
  readonly number: string;
  readonly count: number;
}

/** A work as it is written down: what is said of it afterwards are its steps. */
export interface WorkContent {
  readonly task: WorkTask;
  /** Empty for one that somebody thought of. */
  readonly reasons: readonly WorkReason[];
  readonly urgency: Urgency;
  /** ISO dates of `by`; null for all others, and where only its begin is known. */
  readonly from: string | null;
  readonly to: string | null;
  /** How long it takes; null where nobody said. */
  readonly minutes: number | null;
  readonly parts: readonly WorkPart[];
  readonly note: string;
}

/** What can be said of a work, in the order it usually is. */
export const WORK_STEPS = ['put', 'agreed', 'declined', 'asked', 'planned', 'done', 'withdrawn', 'again'] as const;
/**
 * `put`: to the keeper; `agreed`, `declined`, `asked`: what he says; `planned`: for a day; `done`; `withdrawn`: by the
 * workshop, with why; `again`: taken up once more.
 */
export type WorkStepKind = (typeof WORK_STEPS)[number];

/** How long a work takes and what it takes, said anew: the last word counts. */
export interface WorkCostContent extends Pick<WorkContent, 'minutes' | 'parts'> {
  /** The work, by its id. */
  readonly refers: string;
}

/** One thing said of a work. */
export interface WorkStepContent {
  /** The work, by its id. */
  readonly refers: string;
  readonly step: WorkStepKind;
  /** Why, or what was asked; may be empty but for `withdrawn`, `declined` by the workshop's word and `asked`. */
  readonly words: string;
  /** The day of `planned`, ISO date; null for all others. */
  readonly on: string | null;
  /** Who answered for the vehicle; empty where the workshop says it. */
  readonly keeper: string;
}
