import {
  ARRIVAL_STATES,
  LOADS,
  MEASURE_CODES,
  METER_ANSWERS,
  METER_RANGE,
  POINT_CODES,
  SPOTS,
  type AheadNote,
  type Inspection,
} from '@weskopos/core';
import { z } from 'zod';
import { storedActSchema } from './act';
import { signedSheetSchema, storedAmendmentSchema } from './signedSheet';
import { storedFindingSchema } from './finding';
import { idSchema, instantSchema, placeSchema, textSchema, versionSchema } from './shapes';
import { recordKind } from './record';
import { float, instant, integer, json, text, uuid, type Table } from './table';

/** Readings of one visit that can look ahead. */
export const MOST_AHEAD = 2000;
export const aheadNoteSchema = z.strictObject({
  point: z.enum(POINT_CODES),
  place: placeSchema,
  measure: z.enum(MEASURE_CODES),
  spot: z.enum(SPOTS),
  value: z.number(),
  limit: z.number(),
  chance: z.number().min(0).max(1),
  nextVisit: instantSchema,
}) satisfies z.ZodType<AheadNote>;

const plainInspectionSchema = z.strictObject({
  id: idSchema,
  vehicleId: idSchema,
  startedAt: instantSchema,
  meter: z.number().min(METER_RANGE.km.least).max(METER_RANGE.km.most),
  meterAnswer: z.enum(METER_ANSWERS).nullable(),
  complaint: textSchema(2000),
  state: z.enum(ARRIVAL_STATES),
  stoodH: z.number().min(0).max(10_000).nullable(),
  fuel: z.number().min(0).max(1).nullable(),
  corners: z.array(idSchema).max(8),
  ambientC: z.number().min(-60).max(60).nullable(),
  load: z.enum(LOADS),
  rulebook: versionSchema,
  template: textSchema(40).min(1),
  focus: z.array(textSchema(40)).max(400).nullable(),
  catalogueVersion: versionSchema.min(1),
  signedAt: instantSchema.nullable(),
  ahead: z.array(aheadNoteSchema).max(MOST_AHEAD).nullable(),
  signedOver: textSchema(500).nullable(),
  voidedAt: instantSchema.nullable(),
  voidedWhy: textSchema(500).nullable(),
  broughtFrom: textSchema(120).min(1).nullable(),
}) satisfies z.ZodType<Inspection>;

export const inspectionSchema: z.ZodType<Inspection> = plainInspectionSchema;
/** An inspection as it begins: never signed from the start. */
export const newInspectionSchema: z.ZodType<Inspection> = plainInspectionSchema.extend({
  signedAt: z.null(),
  signedOver: z.null(),
  ahead: z.null(),
  voidedAt: z.null(),
  voidedWhy: z.null(),
  broughtFrom: z.null(),
});

export const inspectionRecord = recordKind<Inspection>({
  name: 'inspection',
  schema: newInspectionSchema,
  versionOf: (raw) =>
    'meterKm' in raw
      ? 1
      : !('stoodH' in raw)
        ? 2
        : !('corners' in raw)
          ? 3
          : !('ahead' in raw)
            ? 4
            : !('voidedAt' in raw)
              ? 5
              : !('broughtFrom' in raw)
                ? 6
                : 7,
  upgrades: [
    // The meter was always an odometer, the template the first fourteen points.
    ({ meterKm, limitSheet: _limitSheet, ...rest }) => ({
      ...rest,
      meter: meterKm,
      load: 'light',
      rulebook: 0,
      template: 'first-fourteen',
      focus: null,
    }),
    (raw) => ({ stoodH: null, fuel: null, signedOver: null, ...raw }),
    (raw) => ({ corners: [], ...raw }),
    (raw) => ({ ahead: null, ...raw }),
    (raw) => ({ voidedAt: null, voidedWhy: null, ...raw }),
    (raw) => ({ broughtFrom: null, ...raw }),
  ],
});

export const inspectionTable: Table<Inspection> = {
  table: 'inspection',
  fields: {
    id: uuid('id'),
    vehicleId: uuid('vehicle_id'),
    startedAt: instant('started_at'),
    meter: float('meter'),
    meterAnswer: text('meter_answer'),
    complaint: text('complaint'),
    state: text('state'),
    stoodH: float('stood_h'),
    fuel: float('fuel'),
    corners: json('corners'),
    ambientC: float('ambient_c'),
    load: text('load'),
    rulebook: integer('rulebook'),
    template: text('template'),
    focus: json('focus'),
    catalogueVersion: integer('catalogue_version'),
    signedAt: instant('signed_at'),
    ahead: json('ahead'),
    signedOver: text('signed_over'),
    voidedAt: instant('voided_at'),
    voidedWhy: text('voided_why'),
    broughtFrom: text('brought_from'),
  },
};

const voidingSchema = z.strictObject({
  inspectionId: idSchema,
  at: instantSchema,
  /** Empty only for a visit that was never signed. */
  why: textSchema(500).trim(),
});
/** A visit is given up: a signed one by a lead who says why, one that is not signed by whoever is at it. It is kept. */
export const voidingRecord = recordKind<z.infer<typeof voidingSchema>>({
  name: 'voiding',
  schema: voidingSchema,
  versionOf: () => 1,
  upgrades: [],
});

const restoringSchema = z.strictObject({ inspectionId: idSchema, at: instantSchema });
/** A visit that was given up counts again. */
export const restoringRecord = recordKind<z.infer<typeof restoringSchema>>({
  name: 'restoring',
  schema: restoringSchema,
  versionOf: () => 1,
  upgrades: [],
});

/** What is said on arrival and can be corrected until signing. */
const arrivalSchema = plainInspectionSchema.pick({
  meter: true,
  meterAnswer: true,
  complaint: true,
  state: true,
  stoodH: true,
  fuel: true,
  corners: true,
  ambientC: true,
  load: true,
  template: true,
  focus: true,
});
const correctionSchema = z.strictObject({ inspectionId: idSchema, at: instantSchema, arrival: arrivalSchema });
/** What was said on arrival is said anew, whole; what was found stays. */
export const correctionRecord = recordKind<z.infer<typeof correctionSchema>>({
  name: 'correction',
  schema: correctionSchema,
  versionOf: () => 1,
  upgrades: [],
});
/** What is said on arrival and can be corrected until signing. */
export type Arrival = z.infer<typeof arrivalSchema>;

/** One visit: the inspection, every entry made and every act done in it, and who did it. */
export const visitSchema = z.object({
  inspection: inspectionSchema,
  findings: z.array(storedFindingSchema),
  acts: z.array(storedActSchema),
  inspector: z.string(),
  signedBy: z.string().nullable(),
  /** What it was signed with; null before, and while a signature waits for the workshop's answer. */
  sheet: signedSheetSchema.nullable(),
  /** Oldest first. */
  amendments: z.array(storedAmendmentSchema),
  /** Who gave the visit up; null where nobody did. */
  voidedBy: z.string().nullable(),
  /** What its signature can be checked by; null before, and where it was signed before there were any. */
  seal: z
    .object({
      /** SHA-256 of the text that was signed. */
      hash: z.string(),
      /** The key, by the first digits of its hash. */
      key: z.string(),
      /** Ed25519 over the letters of the hash, base64. */
      value: z.string(),
    })
    .nullable(),
});
/** An inspection with its entries, its acts, and who did it. */
export type Visit = z.infer<typeof visitSchema>;
