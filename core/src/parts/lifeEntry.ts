import type { Wheel } from '../vehicle/place';
import { groupBy } from '../sums/groupBy';
import type { PointCode } from '../catalogue/catalogue';
import type { Spot } from '../catalogue/points/point';
import type { Job } from '../vehicle/jobs';
import type { Place } from '../vehicle/vehicle';
import type { WorkContent, WorkCostContent, WorkStepContent } from './work';

/** What has an identity of its own on a vehicle. */
export const PART_KINDS = ['tyre', 'pads', 'shoes', 'disc', 'battery', 'belt', 'filter'] as const;
/** A part that is renewed and followed. */
export type PartKind = (typeof PART_KINDS)[number];

export const LOGGED_FLUIDS = ['engine-oil', 'coolant', 'brake-fluid', 'washer', 'urea'] as const;
/** A fluid that is topped up and logged. */
export type LoggedFluid = (typeof LOGGED_FLUIDS)[number];

/** What is told of a job besides when it was done. */
export interface JobDetails {
  /** The wheel or axle it was done on; empty for the vehicle as a whole. */
  readonly place: Place;
  /** What went in, L; null where it is not told. */
  readonly litres: number | null;
  /** Part numbers and grades of what went in. */
  readonly numbers: string;
  /** Which paper or person tells of it; empty for who writes it down. */
  readonly paper: string;
}
export const NO_DETAILS: JobDetails = { place: '', litres: null, numbers: '', paper: '' };

/** What happens to a vehicle besides its visits. Appended, never changed; taken back by an entry of its own. */
export type LifeEntryContent =
  | {
      readonly kind: 'fit';
      readonly what: PartKind;
      readonly place: Place;
      /** Value when fitted, stored unit of its measure; null when it was not measured. */
      readonly fresh: number | null;
      readonly note: string;
    }
  /** Tyres changed places, all in one act. */
  | { readonly kind: 'rotate'; readonly moves: readonly { readonly from: Wheel; readonly to: Wheel }[] }
  /** A reading of a signed visit that was not of the part: it stays on record and out of the trend. */
  | {
      readonly kind: 'misread';
      readonly inspectionId: string;
      readonly point: PointCode;
      readonly place: Place;
      readonly spot: Spot;
    }
  | { readonly kind: 'fuel'; readonly litres: number; readonly full: boolean; readonly price: number | null }
  | { readonly kind: 'top-up'; readonly fluid: LoggedFluid; readonly litres: number }
  | { readonly kind: 'meter' }
  /** A job was done: its interval begins anew. */
  | ({ readonly kind: 'job'; readonly job: Job } & JobDetails)
  /** It was asked when a job was last done, and nobody knows: a state of its own, never taken for done. */
  | { readonly kind: 'not-known'; readonly job: Job; readonly paper: string }
  /** A trip that is coming, over what is usual: so much of the meter's unit, done by then. */
  | { readonly kind: 'plan'; readonly distance: number; readonly until: string }
  /** Something to be done, as it was first written down. */
  | ({ readonly kind: 'work' } & WorkContent)
  /** What became of it. */
  | ({ readonly kind: 'work-step' } & WorkStepContent)
  /** How long it takes, and what. */
  | ({ readonly kind: 'work-cost' } & WorkCostContent)
  | { readonly kind: 'undo'; readonly refers: string };

/** What a life entry is, by its kind. */
export type LifeEntryKind = LifeEntryContent['kind'];

/** What every life entry bears, whatever its kind. */
export interface LifeEntryStamp {
  readonly id: string;
  readonly vehicleId: string;
  /** When it was done, which may be long before it was written down. */
  readonly at: string;
  /** Meter when it was done, in the vehicle's unit; null when nobody read it. */
  readonly meter: number | null;
}

/** Something that happened to a vehicle besides its visits; appended, never changed. */
export type LifeEntry = LifeEntryStamp & LifeEntryContent;
/** A life entry of one kind. */
export type LifeEntryOf<K extends LifeEntryKind> = Extract<LifeEntry, { kind: K }>;

/** Entries that stand, in the order of what they tell; what was taken back, and the taking back, left out. */
export function standingEntries(entries: readonly LifeEntry[]): LifeEntry[] {
  const undos = groupBy(entriesOf(entries, 'undo'), ({ refers }) => refers);
  // An undo that was itself undone lets its entry stand: the last word counts, whatever order they came in.
  const undone = {
    has: (id: string): boolean => undos.get(id)?.some((undo) => !undone.has(undo.id)) ?? false,
  };
  return entries
    .filter((entry) => entry.kind !== 'undo' && !undone.has(entry.id))
    .sort((a, b) => a.at.localeCompare(b.at) || a.id.localeCompare(b.id));
}

/** What had happened by a moment: a visit of then is told without what came later, whenever either was written down. */
export function toldBy<E extends Pick<LifeEntry, 'at'>>(entries: readonly E[], moment: string): E[] {
  return entries.filter(({ at }) => Date.parse(at) <= Date.parse(moment));
}

/** The entries of one kind, in their order. */
export function entriesOf<K extends LifeEntryKind>(entries: readonly LifeEntry[], kind: K): LifeEntryOf<K>[] {
  return entries.filter((entry): entry is LifeEntryOf<K> => entry.kind === kind);
}

/** Why moves of a rotation cannot be: a place left or reached twice, or one that stays. Null when they can. */
export function rotationProblem(
  moves: readonly { readonly from: Wheel; readonly to: Wheel }[],
): 'none' | 'twice' | 'not-closed' | null {
  if (moves.length === 0) return 'none';
  const [from, to] = [new Set(moves.map((move) => move.from)), new Set(moves.map((move) => move.to))];
  if (from.size < moves.length || to.size < moves.length) return 'twice';
  return [...from].every((place) => to.has(place)) ? null : 'not-closed';
}
