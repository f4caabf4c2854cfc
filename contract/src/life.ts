import { z } from 'zod';
import { GRADES } from '@weskopos/core';
import { actRecord } from './records/act';
import { findingRecord } from './records/finding';
import { lifeEntryRecord, storedLifeEntrySchema } from './records/lifeEntry';
import { isRaw, lift, mapped } from './records/record';
import { inspectionRecord, visitSchema } from './records/inspection';
import { idSchema, instantSchema } from './records/shapes';
import { vehicleRecord, vehicleSchema } from './records/vehicle';

/** Everything about one vehicle that the device needs to work without the network. Visits oldest first, entries in the order they were written down. */
export const lifeSchema = z.object({
  vehicle: vehicleSchema,
  visits: z.array(visitSchema),
  entries: z.array(storedLifeEntrySchema),
});
/** Everything that is known of one vehicle: its sheet, its visits, and what happened between them. */
export type Life = z.infer<typeof lifeSchema>;

/** A life an older program told, each of its records lifted to today's shape. What is none passes through, to be refused by the schema. */
export function liftLife(raw: unknown): unknown {
  if (!isRaw(raw)) return raw;
  const visits = mapped(raw.visits, (visit) =>
    isRaw(visit)
      ? {
          ...visit,
          inspection: lift(inspectionRecord, visit.inspection),
          findings: mapped(visit.findings, (finding) => lift(findingRecord, finding)),
          acts: mapped(visit.acts, (act) => lift(actRecord, act)),
        }
      : visit,
  );
  const entries = mapped(raw.entries, (entry) => lift(lifeEntryRecord, entry));
  return { ...raw, vehicle: lift(vehicleRecord, raw.vehicle), visits, entries };
}

export const visitSummarySchema = z.object({
  inspectionId: idSchema,
  startedAt: instantSchema,
  meter: z.number(),
  /** Null while it is not signed. */
  signedAt: instantSchema.nullable(),
  grade: z.enum(GRADES).nullable(),
  counts: z.record(z.enum(GRADES), z.number()).nullable(),
});
/** A visit in one line of the yard. */
export type VisitSummary = z.infer<typeof visitSummarySchema>;

/** One vehicle in the yard: its last signed visit, and the one that is half done. */
export const yardEntrySchema = z.object({
  vehicle: vehicleSchema,
  last: visitSummarySchema.nullable(),
  open: visitSummarySchema.nullable(),
});
/** One vehicle in the yard: its last signed visit, and the one that is half done. */
export type YardEntry = z.infer<typeof yardEntrySchema>;
