import type { Place } from '../vehicle/vehicle';
import type { EndKind } from './endKinds';

/** What is done to the vehicle as a whole; the states a reading needs follow from these. */
export const STATE_CHANGES = [
  'key-on',
  'engine-start',
  'engine-off',
  'lift-up',
  'lift-down',
  'helper-here',
  'helper-gone',
  'stands-checked',
  'coolant-cool',
] as const;
/** What is done to the vehicle that changes what can be read. */
export type StateChange = (typeof STATE_CHANGES)[number];

/** What runs by itself while the inspector does something else. */
export const WAIT_KINDS = [
  'drain',
  'flush',
  'settle',
  'warm-up',
  'cool-down',
  'hub-heat',
  'battery-rest',
  'drops',
  'axle-run',
] as const;
/** Something that runs by itself while the inspector goes on. */
export type WaitKind = (typeof WAIT_KINDS)[number];

/** Usual lengths, s; the workshop's own custom where the spec sheet is silent. */
export const USUAL_WAIT_S: Readonly<Record<WaitKind, number>> = {
  drain: 600,
  flush: 900,
  settle: 600,
  'warm-up': 480,
  'cool-down': 7200,
  'hub-heat': 300,
  'battery-rest': 7200,
  drops: 60,
  'axle-run': 600,
};
/** Shortest and longest wait that is one, s. */
export const WAIT_RANGE_S = { least: 10, most: 24 * 3600 } as const;

/** The cold gate's questions: any *no* means do not start. */
export const GATE_QUESTIONS = ['oil', 'coolant', 'belts', 'dry'] as const;
/** What the cold gate asks before the key is turned. */
export type GateQuestion = (typeof GATE_QUESTIONS)[number];

export const DEBRIS = ['nothing', 'fuzz', 'pieces'] as const;
/** What a magnetic plug carries: nothing, the grey fuzz of running in and wear, or pieces. */
export type Debris = (typeof DEBRIS)[number];

/** What proves that something opened is closed again. Null: not said. */
export interface EndProof {
  readonly torqueNm: number | null;
  readonly litres: number | null;
  /** On the stick or the bottle: 0 the lower mark, 1 the upper. */
  readonly level: number | null;
  /** How many of the fasteners are back in. */
  readonly fasteners: number | null;
  readonly washer: 'new' | 'reused' | null;
  readonly oldSealSeen: boolean | null;
  readonly onGround: boolean | null;
  /** Turned on by the spec sheet's angle after the torque. */
  readonly angleDone: boolean | null;
  /** Fasteners that are to be renewed were. */
  readonly renewed: boolean | null;
  /** What the magnet of a plug carried. */
  readonly debris: Debris | null;
  /** Fuel was pumped up and the air let out. */
  readonly primed: boolean | null;
  /** What this kind of end is proved by besides figures was seen to. */
  readonly seenTo: boolean | null;
  /** Number of the part that went in; empty where none was noted. */
  readonly partNumber: string;
  /** Paint across it, or date and initials on it, so that the next one sees it was done. */
  readonly marked: boolean | null;
  /** Doubts that were asked and kept. */
  readonly kept: readonly ProofDoubtCode[];
  readonly note: string;
}

export const PROOF_DOUBTS = [
  'torque-off',
  'over-capacity',
  'under-capacity',
  'level-off',
  'fasteners-missing',
  'washer-reused',
  'seal-not-seen',
  'not-renewed',
  'pieces-found',
] as const;
/** What is odd about a proof, as a code that words hang on. */
export type ProofDoubtCode = (typeof PROOF_DOUBTS)[number];

export const NO_PROOF: EndProof = {
  torqueNm: null,
  litres: null,
  level: null,
  fasteners: null,
  washer: null,
  oldSealSeen: null,
  onGround: null,
  angleDone: null,
  renewed: null,
  debris: null,
  primed: null,
  seenTo: null,
  partNumber: '',
  marked: null,
  kept: [],
  note: '',
};

/** What is done in a visit besides looking: appended, never changed. */
export type ActContent =
  | { readonly kind: 'state'; readonly change: StateChange }
  /** Answered by a word, as visits did before the gate was looked at on its points. */
  | { readonly kind: 'gate'; readonly question: GateQuestion; readonly answer: boolean }
  /** A lead lets the engine be started over one *no*; null, in older visits, over all that were known. */
  | { readonly kind: 'gate-override'; readonly question: GateQuestion | null; readonly reason: string }
  | {
      readonly kind: 'open';
      readonly end: EndKind;
      readonly place: Place;
      /** How many fasteners hold it; null where none are counted. */
      readonly fasteners: number | null;
    }
  | { readonly kind: 'close'; readonly opens: string; readonly proof: EndProof }
  /** One stage of a filling, litres. */
  | { readonly kind: 'fill'; readonly opens: string; readonly litres: number }
  | { readonly kind: 'wait'; readonly wait: WaitKind; readonly lengthS: number }
  /** A wait heard, or stopped before its time. */
  | { readonly kind: 'wait-done'; readonly waits: string };

/** What an act is, by its kind. */
export type ActKind = ActContent['kind'];

/** Something done to the vehicle in a visit; appended, never changed. */
export type Act = ActContent & {
  readonly id: string;
  readonly inspectionId: string;
  /** When it was done, ISO 8601, by the device's corrected clock. */
  readonly at: string;
};
/** An act of one kind. */
export type ActOf<K extends ActKind> = Extract<Act, { readonly kind: K }>;

/** The acts of one kind, oldest first. */
export function actsOf<K extends ActKind>(acts: readonly Act[], kind: K): ActOf<K>[] {
  return inOrder(acts).filter((act): act is ActOf<K> => act.kind === kind);
}

/** Oldest first, whoever's device they came from; the id decides between two of one moment. */
export function inOrder(acts: readonly Act[]): Act[] {
  return [...acts].sort((a, b) => Date.parse(a.at) - Date.parse(b.at) || a.id.localeCompare(b.id));
}
