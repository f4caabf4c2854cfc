import type {
  Audited,
  CalendarOf,
  Letter,
  Operation,
  PersonState,
  Refusal,
  Role,
  TokenScope,
} from '@weskopos/contract';
import type { FleetKnowledge, PriceList } from '@weskopos/core';
import type { StoredForecast } from '@weskopos/core/score/storedForecast';
import type { Tx } from '../db/engine';
import type { Sealed } from '../signing/signature';
import type { WorkshopKey } from '../signing/workshopKey';

/** What every operation bears besides kind and body. */
interface Stamp {
  readonly id: string;
  readonly at: string;
  readonly device: string;
  readonly v?: number | undefined;
}
/** Somebody who joins, with the hash of the secret. */
export interface NewPerson {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly secretHash: string;
}
/** What becomes of a person; what is left out stays. */
export interface PersonChange {
  readonly id: string;
  readonly role?: Role | undefined;
  readonly state?: PersonState | undefined;
}
/** Another secret for a person: of their own, or one that lets in once until a moment. */
export interface NewSecret {
  readonly id: string;
  readonly secretHash: string;
  readonly onceUntil: string | null;
}
/** A photo that was kept on disk, by the hash of its bytes. */
export interface NewPhoto {
  readonly id: string;
  readonly sha256: string;
  readonly width: number;
  readonly height: number;
  readonly bytes: number;
}

/** What of a bundle is new here, laid ready in a file beside the journal: one change, so that all of it is taken or nothing. */
export interface TakenBundle {
  /** Name of the file, by the hash of what is in it. */
  readonly file: string;
  /** Vehicles in it that are new here. */
  readonly vehicles: readonly string[];
}

/** A token that a program comes in by, with its hash. */
export interface NewToken {
  readonly id: string;
  readonly name: string;
  readonly scope: TokenScope;
  readonly tokenHash: string;
}
/** A link a keeper is given, with its hash and what he is told. */
export interface NewLink {
  readonly id: string;
  readonly vehicleId: string;
  readonly tokenHash: string;
  readonly letter: Letter;
  /** When it ends, ISO 8601. */
  readonly until: string;
}
/** What the workshop asks from then on. */
export interface NewPrices {
  readonly version: number;
  readonly list: PriceList;
}
/** A calendar that other programs may read, with its hash. */
export interface NewCalendar {
  readonly id: string;
  readonly of: CalendarOf;
  /** Of a vehicle's calendar; null for all others. */
  readonly vehicleId: string | null;
  readonly tokenHash: string;
}
/** A vehicle whose keeper's data is taken out, and why. */
export interface Blanking {
  readonly vehicleId: string;
  readonly why: string;
}
/** A line of the audit list that is no other change. */
export interface AuditNote {
  readonly what: Audited;
  readonly about: string;
}

/** Changes the server makes itself; journalled and applied like those of a device. */
export type OwnOperation =
  | (Stamp & { readonly kind: 'person.add'; readonly body: NewPerson })
  | (Stamp & { readonly kind: 'person.change'; readonly body: PersonChange })
  | (Stamp & { readonly kind: 'person.secret'; readonly body: NewSecret })
  | (Stamp & { readonly kind: 'token.give'; readonly body: NewToken })
  | (Stamp & { readonly kind: 'token.end'; readonly body: { readonly id: string } })
  | (Stamp & { readonly kind: 'link.give'; readonly body: NewLink })
  | (Stamp & { readonly kind: 'link.end'; readonly body: { readonly id: string } })
  | (Stamp & { readonly kind: 'prices.put'; readonly body: NewPrices })
  | (Stamp & { readonly kind: 'calendar.give'; readonly body: NewCalendar })
  | (Stamp & { readonly kind: 'calendar.end'; readonly body: { readonly id: string } })
  | (Stamp & { readonly kind: 'keeper.blank'; readonly body: Blanking })
  | (Stamp & { readonly kind: 'audit.note'; readonly body: AuditNote })
  | (Stamp & { readonly kind: 'photo.add'; readonly body: NewPhoto })
  | (Stamp & { readonly kind: 'bundle.take'; readonly body: TakenBundle })
  | (Stamp & { readonly kind: 'signature.add'; readonly body: Sealed });

/** A change, who made it, and when it came in. `by` is null only for the first lead. */
export interface Change {
  readonly operation: Operation | OwnOperation;
  readonly by: string | null;
  readonly receivedAt: string;
}

/** What a decision found out that the operation does not say itself: written down with it, so that a replay need not judge. */
export type Outcome = Readonly<Record<string, unknown>>;
/** Of a change whose operation says all there is. */
export const AS_SAID: Outcome = {};

/** One line of the journal: a change that took effect. Lines of the first format tell no outcome and are judged anew. */
export interface Line extends Change {
  readonly outcome?: Outcome;
}

/** What is to become of a change. */
export type Decision<O extends Outcome> =
  { readonly refusal: Refusal } | { readonly refusal: null; readonly outcome: O };
export const refused = (refusal: Refusal) => ({ refusal });
export const takes = <O extends Outcome>(outcome: O) => ({ refusal: null, outcome });

/** What a decision may ask besides the database. */
export interface Asks {
  /** The forecasts a vehicle would be shown with this visit signed then: they go on record with the signature. */
  readonly forecastsAt: (
    tx: Tx,
    vehicleId: string,
    inspectionId: string,
    signedAt: string,
  ) => Promise<readonly StoredForecast[]>;
  /** What the whole fleet teaches each forecast. */
  readonly knowledge: () => FleetKnowledge;
  /** The workshop's key; null while what was signed long ago is brought back. */
  readonly key: WorkshopKey | null;
  /** What is judged was taken once before: a journal of the first format brings it back, and its own figures stand. */
  readonly asTold: boolean;
}

/** A change that was taken. */
export interface Taken<Body, O extends Outcome> {
  readonly change: Change;
  readonly body: Body;
  readonly outcome: O;
}

/** How changes of one kind that come next to each other are taken by facts fetched once and written by one statement. */
export interface Together<Body, O extends Outcome, Facts> {
  facts(tx: Tx, bodies: readonly Body[]): Promise<Facts>;
  /** Null for one that must be judged by itself. */
  decide(facts: Facts, body: Body): Decision<O> | null;
  /** Tells the facts that it was taken. */
  took(facts: Facts, body: Body): void;
  effect(tx: Tx, taken: readonly Taken<Body, O>[]): Promise<void>;
}

/** How one kind of change is taken: judged once, by what stands; and its effect, which judges nothing. */
export interface Writer<Body, O extends Outcome = Outcome, Facts = unknown> {
  decide(tx: Tx, change: Change, body: Body, asks: Asks): Promise<Decision<O>>;
  effect(tx: Tx, change: Change, body: Body, outcome: O): Promise<void>;
  readonly together?: Together<Body, O, Facts>;
  /** The effects of several that took effect before, in their order, in few statements. */
  repeated?(tx: Tx, taken: readonly Taken<Body, O>[]): Promise<void>;
  /** Its effect is many statements: nobody is judged before all of it is there. */
  readonly long?: true;
}
