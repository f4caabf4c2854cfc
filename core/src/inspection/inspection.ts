import { CATALOGUE_VERSION } from '../catalogue/catalogue';
import type { AheadNote } from './aheadNote';

export const ARRIVAL_STATES = ['cold', 'warm', 'hot'] as const;
/** How warm the vehicle came in. */
export type ArrivalState = (typeof ARRIVAL_STATES)[number];

export const METER_ANSWERS = ['meter-replaced', 'last-misread', 'long-trip'] as const;
/** Why a doubtful meter reading is kept. */
export type MeterAnswer = (typeof METER_ANSWERS)[number];

/** Which of the placard's pressures counts today. */
export const LOADS = ['light', 'full'] as const;
/** Which of the placard's pressures counts. */
export type Load = (typeof LOADS)[number];

/** One visit of a vehicle, without its entries. */
export interface Inspection {
  readonly id: string;
  readonly vehicleId: string;
  readonly startedAt: string;
  /** Odometer or hour meter, in the vehicle's meter unit. */
  readonly meter: number;
  /** Why a doubtful meter reading was kept. */
  readonly meterAnswer: MeterAnswer | null;
  readonly complaint: string;
  readonly state: ArrivalState;
  /** Hours it has stood, where it was told; null when not. */
  readonly stoodH: number | null;
  /** Fuel on arrival, share of a full tank; null when not read. */
  readonly fuel: number | null;
  /** Photos of its corners as it came, by id. */
  readonly corners: readonly string[];
  /** °C, null when it was not read. */
  readonly ambientC: number | null;
  readonly load: Load;
  /** Version of the workshop's rulebook, and the template in it. */
  readonly rulebook: number;
  readonly template: string;
  /** Only these points, by key: what a return visit looks at again. Null for all of the template. */
  readonly focus: readonly string[] | null;
  readonly catalogueVersion: number;
  readonly signedAt: string | null;
  /** What its wear readings were likely to do before the next visit, as it was worked out at signing; null before. */
  readonly ahead: readonly AheadNote[] | null;
  /** Why a lead signed over open ends; null where nothing hung. */
  readonly signedOver: string | null;
  /** When it was given up: kept, and counted nowhere. Null while it counts. */
  readonly voidedAt: string | null;
  /** Why; empty for one that was never signed. */
  readonly voidedWhy: string | null;
  /** The table it was brought in from: nobody walked it here. Null for a visit that was made here. */
  readonly broughtFrom: string | null;
}

/** Whether a visit is signed and counts: what is told of a vehicle is told by these. */
export const isSigned = ({ signedAt, voidedAt }: Pick<Inspection, 'signedAt' | 'voidedAt'>): boolean =>
  signedAt !== null && voidedAt === null;

/** Whether a visit is half done: begun, neither signed nor given up. */
export const isOpen = ({ signedAt, voidedAt }: Pick<Inspection, 'signedAt' | 'voidedAt'>): boolean =>
  signedAt === null && voidedAt === null;

/** Visits that were not given up: what was done and seen in them counts, signed or not. */
export function countedVisits<V extends { readonly inspection: Pick<Inspection, 'voidedAt'> }>(
  visits: readonly V[],
): V[] {
  return visits.filter(({ inspection }) => inspection.voidedAt === null);
}

/** How an inspection begins: what nobody has said yet is null, its rules are the built-in ones. */
export function blankInspection(
  given: Pick<Inspection, 'id' | 'vehicleId' | 'startedAt' | 'meter'> & Partial<Inspection>,
): Inspection {
  return {
    meterAnswer: null,
    complaint: '',
    state: 'cold',
    stoodH: null,
    fuel: null,
    corners: [],
    ambientC: null,
    load: 'light',
    rulebook: 0,
    template: 'full',
    focus: null,
    catalogueVersion: CATALOGUE_VERSION,
    signedAt: null,
    ahead: null,
    signedOver: null,
    voidedAt: null,
    voidedWhy: null,
    broughtFrom: null,
    ...given,
  };
}
