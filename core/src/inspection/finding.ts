import { typedKeys } from '../sums/keyed';
import type { PointCode } from '../catalogue/catalogue';
import type { CrankStandard } from '../vehicle/specSheet';
import type { Count, FaultCode, HowRead } from '../catalogue/counted';
import type { LeakObservation } from '../catalogue/leaks';
import type { MeasureCode } from '../catalogue/measures';
import type { Need, Spot } from '../catalogue/points/point';
import type { Word } from '../catalogue/words';
import type { Place } from '../vehicle/vehicle';

/** `open`: a photo or note is there but nobody has judged yet; it counts as not looked at. */
export const ACCESS = ['open', 'seen', 'partly', 'not-reached'] as const;
/** How well a point could be seen. */
export type Access = (typeof ACCESS)[number];

export const ACCESS_REASONS = ['tray-on', 'seized', 'loaded', 'unsafe', 'keepers-wish', 'not-fitted'] as const;
/** Why a point could not be seen. */
export type AccessReason = (typeof ACCESS_REASONS)[number];

/** As found on arrival, or as left after it was put right on the spot. */
export const PHASES = ['found', 'left'] as const;
/** Whether something was read as found or as left. */
export type Phase = (typeof PHASES)[number];

/** `over`: the truth is more than the value (bar not flush); `under`: at most the value. Never turned into a number. */
export const BOUNDS = ['exact', 'over', 'under'] as const;
/** Whether the truth is the value, more, or less. */
export type Bound = (typeof BOUNDS)[number];

/** What a gauge said at one spot; values in the measure's stored unit. */
export interface Reading {
  readonly measure: MeasureCode;
  readonly spot: Spot;
  readonly phase: Phase;
  /** Repeat readings of the same thing, stored unit; the mean counts. */
  readonly values: readonly number[];
  readonly bound: Bound;
  /** Step of the gauge it was read with, stored unit; null for the usual gauge of its measure. */
  readonly step: number | null;
}

/** A mark drawn over a photo; positions are shares of its width and height, 0 to 1. The picture itself stays untouched. */
export type PhotoMark =
  | { readonly kind: 'arrow'; readonly x: number; readonly y: number; readonly toX: number; readonly toY: number }
  | { readonly kind: 'ring'; readonly x: number; readonly y: number; readonly radius: number }
  | { readonly kind: 'text'; readonly x: number; readonly y: number; readonly text: string };

/** A photo of a finding, with what is drawn on it. */
export interface FindingPhoto {
  readonly id: string;
  readonly caption: string;
  readonly marks: readonly PhotoMark[];
}

/** A person's grade beside the computed one; both are kept. */
export interface GradeOverride {
  readonly grade: 'pass' | 'advisory' | 'fail';
  readonly reason: string;
}

/** A dated look or job that stands in for looking today. */
export interface Carried {
  /** ISO date. */
  readonly at: string;
  readonly from: 'visit' | 'job';
}

/**
 * One look at one point, whole: a later look is a new entry that names its parent,
 * so nothing is overwritten and two people on one point leave a visible fork.
 */
export interface Finding {
  readonly id: string;
  readonly inspectionId: string;
  readonly parent: string | null;
  readonly point: PointCode;
  readonly place: Place;
  readonly access: Access;
  readonly accessReason: AccessReason | null;
  readonly readings: readonly Reading[];
  readonly words: readonly Word[];
  readonly leaks: readonly LeakObservation[];
  readonly counts: readonly Count[];
  readonly codes: readonly FaultCode[];
  readonly howRead: HowRead | null;
  /** Test standard of a measured cranking current. */
  readonly standard: CrankStandard | null;
  readonly override: GradeOverride | null;
  readonly carried: Carried | null;
  /** Said together with the rest of its station, in one stroke. */
  readonly inOneStroke: boolean;
  readonly note: string;
  readonly photos: readonly FindingPhoto[];
  /** States the point needs that did not hold when it was read: kept, not judged, and asked again. */
  readonly outOf: readonly Need[];
  /** Doubts that were asked and kept, as `code:spot`. */
  readonly kept: readonly string[];
  /** When it was made on the device, ISO 8601. */
  readonly at: string;
}

/** The mean of a reading's values. Throws on an empty reading, which no valid finding holds. */
export function readingValue(reading: Pick<Reading, 'values'>): number {
  if (reading.values.length === 0) throw new RangeError('a reading needs at least one value');
  return reading.values.reduce((sum, value) => sum + value, 0) / reading.values.length;
}

/** The reading of a measure at a spot: as left where there is one, else as found. */
export function readingAt(
  finding: Finding | undefined,
  measure: MeasureCode,
  spot: Spot = 'whole',
  phase?: Phase,
): Reading | undefined {
  const here = finding?.readings.filter((reading) => reading.measure === measure && reading.spot === spot) ?? [];
  if (phase) return here.find((reading) => reading.phase === phase);
  return here.find((reading) => reading.phase === 'left') ?? here.find((reading) => reading.phase === 'found');
}

/** What the device adds when an entry is made: its id and time. */
export interface EntryStamp {
  readonly id: string;
  readonly at: string;
}

/** What an entry says, without where and when. */
export type FindingContent = Omit<Finding, 'id' | 'inspectionId' | 'parent' | 'point' | 'place' | 'at'>;
/** What an entry says anew; the rest stands as it was. */
export type FindingChange = Partial<FindingContent>;

/** An entry that says nothing: `open`, so it counts as not looked at. */
export const BLANK_CONTENT: FindingContent = {
  access: 'open',
  accessReason: null,
  readings: [],
  words: [],
  leaks: [],
  counts: [],
  codes: [],
  howRead: null,
  standard: null,
  override: null,
  carried: null,
  inOneStroke: false,
  note: '',
  photos: [],
  outOf: [],
  kept: [],
};

const CONTENT_FIELDS = typedKeys(BLANK_CONTENT);

/** What an entry says: laid over a later one it brings the earlier back. */
export function contentOf(finding: Finding | undefined): FindingContent {
  if (!finding) return BLANK_CONTENT;
  return Object.fromEntries(CONTENT_FIELDS.map((field) => [field, finding[field]])) as unknown as FindingContent;
}

/** What makes an entry a look at the thing itself; a note or a photo of it is none. */
export const LOOK_FIELDS = [
  'access',
  'readings',
  'words',
  'leaks',
  'counts',
  'codes',
] as const satisfies readonly (keyof FindingChange)[];

/** Whether a change says something of the thing itself. */
export const isLookChange = (change: FindingChange): boolean => LOOK_FIELDS.some((field) => field in change);

/**
 * The next entry for a point: what stood there with `change` laid over it, naming it as parent; blank and `open` where
 * nothing stood. A grade by hand belongs to the look it was given for: a new look lets it lapse, the old entry keeps it.
 */
export function nextFinding(
  standing: Finding | undefined,
  target: Pick<Finding, 'inspectionId' | 'point' | 'place'>,
  stamp: EntryStamp,
  change: FindingChange,
): Finding {
  const { inspectionId, point, place } = target;
  return {
    ...BLANK_CONTENT,
    ...standing,
    ...(isLookChange(change) ? { override: null } : {}),
    ...change,
    inspectionId,
    point,
    place,
    parent: standing?.id ?? null,
    id: stamp.id,
    at: stamp.at,
  };
}
