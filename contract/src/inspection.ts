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
import { storedFindingSchema } from './finding';
import { placeSchema } from './lifeEntry';
import { idSchema, instantSchema, textSchema } from './shapes';
import { upgradeInspection } from './upgrade';

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
  rulebook: z.number().int().min(0),
  template: textSchema(40).min(1),
  focus: z.array(textSchema(40)).max(400).nullable(),
  catalogueVersion: z.number().int().min(1),
  signedAt: instantSchema.nullable(),
  ahead: z.array(aheadNoteSchema).max(MOST_AHEAD).nullable(),
  signedOver: textSchema(500).nullable(),
}) satisfies z.ZodType<Inspection>;

export const inspectionSchema: z.ZodType<Inspection> = plainInspectionSchema;
/** An inspection as it begins: never signed from the start. Takes older shapes too. */
export const newInspectionSchema: z.ZodType<Inspection> = z.preprocess(
  upgradeInspection,
  plainInspectionSchema.extend({ signedAt: z.null(), signedOver: z.null(), ahead: z.null() }),
);

/** One visit: the inspection, every entry made and every act done in it, and who did it. */
export const visitSchema = z.object({
  inspection: inspectionSchema,
  findings: z.array(storedFindingSchema),
  acts: z.array(storedActSchema),
  inspector: z.string(),
  signedBy: z.string().nullable(),
});
export type Visit = z.infer<typeof visitSchema>;
