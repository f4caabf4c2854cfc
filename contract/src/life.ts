import { z } from 'zod';
import { GRADES, type StandingSummary } from '@weskopos/core';
import { actRecord } from './records/act';
import { findingRecord } from './records/finding';
import { lifeEntryRecord, storedLifeEntrySchema } from './records/lifeEntry';
import { isRaw, lift, mapped } from './records/record';
import { inspectionRecord, visitSchema } from './records/inspection';
import { idSchema, instantSchema, jobSchema } from './records/shapes';
import { liftSheet } from './records/signedSheet';
import { vehicleRecord, vehicleSchema } from './records/vehicle';

/** A visit an older program told, its records lifted. @param versions as they were written down, where they were */
export function liftVisit(
  visit: unknown,
  versions: { readonly inspection?: number; readonly finding?: number; readonly act?: number } = {},
): unknown {
  if (!isRaw(visit)) return visit;
  return {
    ...visit,
    inspection: lift(inspectionRecord, visit.inspection, versions.inspection),
    findings: mapped(visit.findings, (finding) => lift(findingRecord, finding, versions.finding)),
    acts: mapped(visit.acts, (act) => lift(actRecord, act, versions.act)),
    sheet: isRaw(visit.sheet) ? liftSheet(visit.sheet) : null,
    amendments: visit.amendments ?? [],
    voidedBy: visit.voidedBy ?? null,
    seal: visit.seal ?? null,
  };
}

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
  const visits = mapped(raw.visits, (visit) => liftVisit(visit));
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

/** How a vehicle stands over all its visits, in one line. */
export const standingSchema = z.object({
  grade: z.enum(GRADES),
  counts: z.object({ fail: z.number(), advisory: z.number(), pass: z.number() }),
  /** What the last visit looked at. */
  last: z.object({ inspectionId: idSchema, at: instantSchema, seen: z.number(), of: z.number() }).nullable(),
  /** Wheel bolts that want their second torque. */
  boltsAgain: z.object({ fromKm: z.number(), toKm: z.number(), since: instantSchema }).nullable(),
  unknownJobs: z.array(jobSchema).readonly(),
}) satisfies z.ZodType<StandingSummary>;

/** One vehicle in the yard: how it stands, its last signed visit, and the one that is half done. */
export const yardEntrySchema = z.object({
  vehicle: vehicleSchema,
  /** Null before the first signed visit. */
  standing: standingSchema.nullable(),
  last: visitSummarySchema.nullable(),
  open: visitSummarySchema.nullable(),
  /** Of its life: the same as long as nothing in it changed; empty where that is not known. */
  version: z.string().default(''),
});
/** One vehicle in the yard. */
export type YardEntry = z.infer<typeof yardEntrySchema>;
