import { z } from 'zod';
import { GRADES } from '@weskopos/core';
import { storedLifeEntrySchema } from './records/lifeEntry';
import { visitSchema } from './records/inspection';
import { idSchema, instantSchema } from './records/shapes';
import { vehicleSchema } from './records/vehicle';

/** Everything about one vehicle that the device needs to work without the network. Visits oldest first, entries in the order they were written down. */
export const lifeSchema = z.object({
  vehicle: vehicleSchema,
  visits: z.array(visitSchema),
  entries: z.array(storedLifeEntrySchema),
});
export type Life = z.infer<typeof lifeSchema>;

export const visitSummarySchema = z.object({
  inspectionId: idSchema,
  startedAt: instantSchema,
  meter: z.number(),
  /** Null while it is not signed. */
  signedAt: instantSchema.nullable(),
  grade: z.enum(GRADES).nullable(),
  counts: z.record(z.enum(GRADES), z.number()).nullable(),
});
export type VisitSummary = z.infer<typeof visitSummarySchema>;

/** One vehicle in the yard: its last signed visit, and the one that is half done. */
export const yardEntrySchema = z.object({
  vehicle: vehicleSchema,
  last: visitSummarySchema.nullable(),
  open: visitSummarySchema.nullable(),
});
export type YardEntry = z.infer<typeof yardEntrySchema>;
