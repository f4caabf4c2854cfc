import { ARRIVAL_STATES, METER_ANSWERS, METER_RANGE_KM, type Inspection } from '@weskopos/core';
import { z } from 'zod';
import { storedFindingSchema } from './finding';
import { idSchema, instantSchema, textSchema } from './shapes';

const plainInspectionSchema = z.strictObject({
  id: idSchema,
  vehicleId: idSchema,
  startedAt: instantSchema,
  meterKm: z.number().min(METER_RANGE_KM.least).max(METER_RANGE_KM.most),
  meterAnswer: z.enum(METER_ANSWERS).nullable(),
  complaint: textSchema(2000),
  state: z.enum(ARRIVAL_STATES),
  ambientC: z.number().min(-60).max(60).nullable(),
  limitSheet: textSchema(60),
  catalogueVersion: z.number().int().min(1),
  signedAt: instantSchema.nullable(),
}) satisfies z.ZodType<Inspection>;

export const inspectionSchema: z.ZodType<Inspection> = plainInspectionSchema;
/** An inspection as it begins: never signed from the start. */
export const newInspectionSchema: z.ZodType<Inspection> = plainInspectionSchema.extend({ signedAt: z.null() });

/** One visit: the inspection, every entry made in it, and who did it. */
export const visitSchema = z.object({
  inspection: inspectionSchema,
  findings: z.array(storedFindingSchema),
  inspector: z.string(),
  signedBy: z.string().nullable(),
});
export type Visit = z.infer<typeof visitSchema>;
