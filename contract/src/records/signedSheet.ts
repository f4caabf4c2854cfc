import type { Amendment, SignedSheet } from '@weskopos/core';
import { z } from 'zod';
import { findingRecord, findingSchema } from './finding';
import { isRaw, lift, recordKind, type Raw } from './record';
import { idSchema, instantSchema, textSchema } from './shapes';
import { instant, json, text, uuid, type Table } from './table';
import { vehicleRecord } from './vehicle';

const isSheet = (raw: unknown): boolean => isRaw(raw) && isRaw(raw.vehicle) && Array.isArray(raw.points);

/** What a visit was signed with. The server makes it and nobody hands one in: only its outline is looked at. */
export const signedSheetSchema: z.ZodType<SignedSheet> = z.custom<SignedSheet>(isSheet);

/** A sheet an older program kept: what it tells stays, the vehicle in it takes today's shape. */
export function liftSheet<S extends { readonly vehicle?: unknown }>(sheet: S): S {
  return { ...sheet, vehicle: lift(vehicleRecord, sheet.vehicle) };
}

/** Why something signed is said otherwise, or given up: never without a word. */
export const whySchema = textSchema(500).trim().min(1);

const amendmentPutSchema = z.strictObject({
  id: idSchema,
  inspectionId: idSchema,
  at: instantSchema,
  why: whySchema,
  finding: findingSchema,
});
/** An entry to a visit that is signed, with why it is made. */
export type AmendmentPut = z.infer<typeof amendmentPutSchema>;

/** The entry in it takes today's shape. */
const withLiftedFinding = (raw: Raw): Raw => ({ ...raw, finding: lift(findingRecord, raw.finding) });

export const amendmentRecord = recordKind<AmendmentPut>({
  name: 'amendment',
  schema: amendmentPutSchema.refine(({ finding, inspectionId }) => finding.inspectionId === inspectionId, {
    path: ['finding', 'inspectionId'],
    message: 'the visit that is amended',
  }),
  versionOf: ({ finding }) => {
    const version = isRaw(finding) ? findingRecord.versionOf(finding) : findingRecord.version;
    return version < 4 ? 1 : version < 5 ? 2 : 3;
  },
  upgrades: [withLiftedFinding, withLiftedFinding],
});

/** An amendment with who made it. */
export type StoredAmendment = Amendment & { readonly by: string };
export const storedAmendmentSchema: z.ZodType<StoredAmendment> = z.object({
  id: idSchema,
  inspectionId: idSchema,
  at: instantSchema,
  why: z.string(),
  findingId: idSchema,
  points: z.custom<Amendment['points']>(Array.isArray),
  by: z.string(),
});

export const amendmentTable: Table<Amendment> = {
  table: 'amendment',
  fields: {
    id: uuid('id'),
    inspectionId: uuid('inspection_id'),
    at: instant('made_at'),
    why: text('why'),
    findingId: uuid('finding_id'),
    points: json('points'),
  },
};
