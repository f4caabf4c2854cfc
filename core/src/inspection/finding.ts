import type { LeakObservation } from '../catalogue/leaks';
import type { MeasureCode } from '../catalogue/measures';
import type { PointCode, Spot } from '../catalogue/points';
import type { Word } from '../catalogue/words';
import type { Place } from '../vehicle/vehicle';

/** `open`: a photo or note is there but nobody has judged yet; it counts as not looked at. */
export const ACCESS = ['open', 'seen', 'partly', 'not-reached'] as const;
export type Access = (typeof ACCESS)[number];

export const ACCESS_REASONS = ['tray-on', 'seized', 'loaded', 'unsafe', 'keepers-wish', 'not-fitted'] as const;
export type AccessReason = (typeof ACCESS_REASONS)[number];

/** As found on arrival, or as left after it was put right on the spot. */
export type Phase = 'found' | 'left';

export interface Reading {
  readonly measure: MeasureCode;
  readonly spot: Spot;
  readonly phase: Phase;
  /** Repeat readings of the same thing, stored unit; the mean counts. */
  readonly values: readonly number[];
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
  readonly leak: LeakObservation | null;
  readonly note: string;
  readonly photos: readonly string[];
  /** Doubts that were asked and kept, as `code:spot`. */
  readonly kept: readonly string[];
  /** When it was made on the device, ISO 8601. */
  readonly at: string;
}

export const ARRIVAL_STATES = ['cold', 'warm', 'hot'] as const;
export type ArrivalState = (typeof ARRIVAL_STATES)[number];

export const METER_ANSWERS = ['meter-replaced', 'last-misread', 'long-trip'] as const;
export type MeterAnswer = (typeof METER_ANSWERS)[number];

export interface Inspection {
  readonly id: string;
  readonly vehicleId: string;
  readonly startedAt: string;
  readonly meterKm: number;
  /** Why a doubtful odometer was kept. */
  readonly meterAnswer: MeterAnswer | null;
  readonly complaint: string;
  readonly state: ArrivalState;
  /** °C, null when it was not read. */
  readonly ambientC: number | null;
  readonly limitSheet: string;
  readonly catalogueVersion: number;
  readonly signedAt: string | null;
}

/** The mean of a reading's values. Throws on an empty reading, which no valid finding holds. */
export function readingValue(reading: Reading): number {
  if (reading.values.length === 0) throw new RangeError('a reading needs at least one value');
  return reading.values.reduce((sum, value) => sum + value, 0) / reading.values.length;
}

/** The reading at a spot: as left where there is one, else as found. */
export function readingAt(finding: Finding | undefined, spot: Spot, phase?: Phase): Reading | undefined {
  const here = finding?.readings.filter((reading) => reading.spot === spot) ?? [];
  if (phase) return here.find((reading) => reading.phase === phase);
  return here.find((reading) => reading.phase === 'left') ?? here.find((reading) => reading.phase === 'found');
}

/** What the device adds when an entry is made: its id and time. */
export interface EntryStamp {
  readonly id: string;
  readonly at: string;
}

export type FindingChange = Partial<
  Pick<Finding, 'access' | 'accessReason' | 'readings' | 'words' | 'leak' | 'note' | 'photos' | 'kept'>
>;

/** An entry that says nothing: `open`, so it counts as not looked at. */
export const BLANK_CONTENT = {
  access: 'open',
  accessReason: null,
  readings: [],
  words: [],
  leak: null,
  note: '',
  photos: [],
  kept: [],
} as const satisfies Required<FindingChange>;

/** What an entry says, without where and when: laid over a later one it brings the earlier back. */
export function contentOf(finding: Finding | undefined): Required<FindingChange> {
  const { access, accessReason, readings, words, leak, note, photos, kept } = finding ?? BLANK_CONTENT;
  return { access, accessReason, readings, words, leak, note, photos, kept };
}

/** The next entry for a point: what stood there with `change` laid over it, naming it as parent; blank and `open` where nothing stood. */
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
    ...change,
    inspectionId,
    point,
    place,
    parent: standing?.id ?? null,
    id: stamp.id,
    at: stamp.at,
  };
}
