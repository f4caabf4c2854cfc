import { GRADES, impossibleIn, type Finding } from '@weskopos/core';
import type { StoredForecast } from '@weskopos/core/score/storedForecast';
import { z } from 'zod';
import { liftVisit } from './life';
import { actRecord } from './records/act';
import { findingRecord } from './records/finding';
import { inspectionRecord, visitSchema } from './records/inspection';
import { lifeEntryRecord, storedLifeEntrySchema } from './records/lifeEntry';
import { isRaw, lift, type Raw } from './records/record';
import { rulebookRecord, rulebookSchema } from './records/rulebook';
import { idSchema, instantSchema, versionSchema } from './records/shapes';
import { amendmentRecord } from './records/signedSheet';
import { vehicleRecord, vehicleSchema } from './records/vehicle';

/**
 * The bundle: a ZIP of JSON lines, one file for each kind of record, with photos as files and a manifest that has the hash
 * of every entry. People are told by their names; a bundle holds no accounts.
 */
export const BUNDLE_FORMAT = 'weskopos-bundle';
/** Of the bundle itself; its records have versions of their own. */
export const BUNDLE_VERSION = 1;
/** The manifest's place in the archive: the last entry, since it names all others. */
export const MANIFEST = 'manifest.json';

const byName = z.string().min(1).max(60);
const hashSchema = z.string().regex(/^[0-9a-f]{64}$/, '64 hexadecimal digits');

/** The range of every figure is part of the shape also of an entry that comes with who made it. */
const isPossible = (finding: Finding): string | null => {
  const [problem] = impossibleIn(finding);
  return problem ? `${problem.field}: allowed: ${problem.allowed}` : null;
};

// Signatures are records of their own.
const visitLineSchema = visitSchema
  .omit({ seal: true })
  .extend({
    inspector: byName,
    grade: z.enum(GRADES).nullable(),
    counts: z.record(z.enum(GRADES), z.number()).nullable(),
    /** What was forecast when it was signed, to be judged when the truth comes. */
    forecasts: z.array(z.custom<StoredForecast>((raw) => isRaw(raw) && typeof raw.series === 'string')),
  })
  .strict()
  .superRefine(({ inspection, findings, acts, amendments, signedBy, voidedBy, grade }, context) => {
    const wrong = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message });
    findings.forEach(({ by: _by, ...finding }, at) => {
      const why = isPossible(finding);
      if (why) wrong(['findings', at], why);
    });
    for (const [name, list] of Object.entries({ findings, acts, amendments }))
      list.forEach(({ inspectionId }, at) => {
        if (inspectionId !== inspection.id) wrong([name, at, 'inspectionId'], 'the id of its visit');
      });
    const isSigned = inspection.signedAt !== null;
    if ((signedBy !== null) !== isSigned) wrong(['signedBy'], 'a name where the visit is signed, else null');
    if ((grade !== null) !== isSigned) wrong(['grade'], 'a grade where the visit is signed, else null');
    if ((voidedBy !== null) !== (inspection.voidedAt !== null))
      wrong(['voidedBy'], 'a name where the visit was given up, else null');
    const known = new Set(findings.map(({ id }) => id));
    amendments.forEach(({ findingId }, at) => {
      if (!known.has(findingId)) wrong([`amendments`, at, 'findingId'], 'one of the findings of the visit');
    });
  });
/** A visit with everything that was found, done and said in it. */
export type VisitLine = z.infer<typeof visitLineSchema>;

const entryLineSchema = z.strictObject({
  entry: storedLifeEntrySchema,
  /** When it was written down; when it was done stands in it. */
  writtenAt: instantSchema,
});
/** What happened to a vehicle besides its visits. */
export type EntryLine = z.infer<typeof entryLineSchema>;

const rulebookLineSchema = z.strictObject({ rulebook: rulebookSchema, by: byName, at: instantSchema });
/** One version of the rules that visits name. */
export type RulebookLine = z.infer<typeof rulebookLineSchema>;

const photoLineSchema = z.strictObject({
  id: idSchema,
  sha256: hashSchema,
  width: z.number().int().positive(),
  height: z.number().int().positive(),
  bytes: z.number().int().positive(),
  by: byName,
  at: instantSchema,
});
/** A photo; its file lies under the hash of its bytes. */
export type PhotoLine = z.infer<typeof photoLineSchema>;

const signatureLineSchema = z.strictObject({
  hash: hashSchema,
  vehicleId: idSchema,
  /** Its number in the vehicle's chain. */
  n: versionSchema.min(1),
  /** The hash of the one before; null for the first. */
  previous: hashSchema.nullable(),
  kind: z.enum(['visit', 'amendment', 'void', 'restore', 'blank']),
  /** The visit, or the amendment; the vehicle, where its keeper's data was taken out. */
  subject: idSchema,
  /** The text that was signed: canonical JSON (RFC 8785). A later `blank` may have taken the keeper's data out of it. */
  document: z.string(),
  /** The key it was signed with, by the first 16 digits of its hash. */
  key: z.string().regex(/^[0-9a-f]{16}$/, '16 hexadecimal digits'),
  /** Ed25519 over the letters of the hash, base64. */
  value: z.string().regex(/^[A-Za-z0-9+/]{86}==$/, '64 bytes in base64'),
});
/** One signature. */
export type SignatureLine = z.infer<typeof signatureLineSchema>;

const keyLineSchema = z.strictObject({
  id: z.string().regex(/^[0-9a-f]{16}$/, '16 hexadecimal digits'),
  /** The public half, PEM. */
  pem: z.string().max(1000),
});
/** A key that something was signed with. */
export type KeyLine = z.infer<typeof keyLineSchema>;

/** What one line of each file holds. */
export const BUNDLE_LINES = {
  vehicles: vehicleSchema,
  visits: visitLineSchema,
  entries: entryLineSchema,
  rulebooks: rulebookLineSchema,
  photos: photoLineSchema,
  keys: keyLineSchema,
  signatures: signatureLineSchema,
} as const;
/** A file of JSON lines, by its name without its ending. */
export type BundleFile = keyof typeof BUNDLE_LINES;
/** One line of a file. */
export type BundleLine<F extends BundleFile> = z.output<(typeof BUNDLE_LINES)[F]>;

/** Today's version of each record in a bundle. */
export const BUNDLE_RECORDS = {
  vehicle: vehicleRecord.version,
  inspection: inspectionRecord.version,
  finding: findingRecord.version,
  act: actRecord.version,
  amendment: amendmentRecord.version,
  entry: lifeEntryRecord.version,
  rulebook: rulebookRecord.version,
} as const;
const recordVersion = versionSchema.min(1);

export const manifestSchema = z.object({
  format: z.literal(BUNDLE_FORMAT),
  version: versionSchema.min(1),
  made: instantSchema,
  scope: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('workshop') }),
    z.strictObject({ kind: z.literal('vehicle'), id: idSchema }),
    z.strictObject({ kind: z.literal('visit'), id: idSchema }),
  ]),
  /** The version of each record in it. */
  records: z.object({
    vehicle: recordVersion,
    inspection: recordVersion,
    finding: recordVersion,
    act: recordVersion,
    amendment: recordVersion,
    entry: recordVersion,
    rulebook: recordVersion,
  }),
  /** Every other entry. */
  entries: z
    .array(z.strictObject({ path: z.string().min(1).max(200), bytes: z.number().int().min(0), sha256: hashSchema }))
    .max(5_000_000),
  /** Photos whose file was not there when the bundle was made. */
  missing: z.array(idSchema),
});
/** What a bundle says of itself. */
export type Manifest = z.infer<typeof manifestSchema>;
/** What a bundle is of. */
export type BundleScope = Manifest['scope'];

/**
 * A line an older program wrote, lifted to today's shape; what is none passes through, to be refused by the schema.
 *
 * @throws NewerRecord where a newer program wrote it
 */
export function liftLine(file: BundleFile, raw: unknown, records: Manifest['records']): unknown {
  if (!isRaw(raw)) return raw;
  switch (file) {
    case 'vehicles':
      return lift(vehicleRecord, raw, records.vehicle);
    case 'visits':
      return liftedVisit(raw, records);
    case 'entries':
      return isRaw(raw.entry) ? { ...raw, entry: lift(lifeEntryRecord, raw.entry, records.entry) } : raw;
    case 'rulebooks':
      return isRaw(raw.rulebook) ? { ...raw, rulebook: lift(rulebookRecord, raw.rulebook, records.rulebook) } : raw;
    case 'photos':
    case 'keys':
    case 'signatures':
      return raw;
  }
}

function liftedVisit(raw: Raw, records: Manifest['records']): unknown {
  const { seal: _seal, ...visit } = liftVisit(raw, records) as Raw;
  return visit;
}

const sums = z.object({ fresh: z.number(), same: z.number(), differ: z.number() });
export const importPlanSchema = z.object({
  id: idSchema,
  made: instantSchema,
  scope: manifestSchema.shape.scope,
  records: z.object({ vehicles: sums, visits: sums, entries: sums, rulebooks: sums, photos: sums, signatures: sums }),
  /** What is here otherwise than in the bundle: ours stays. The first of them. */
  differing: z.array(
    z.object({ file: z.enum(['vehicles', 'visits', 'entries', 'photos', 'signatures']), name: z.string() }),
  ),
  /** What keeps it from being taken at all. */
  blocking: z.array(z.object({ code: z.enum(['fleet-code-taken', 'rules-differ']), name: z.string() })),
  /** Names in it that nobody here has: they are kept beside what they did, and cannot sign in. */
  strangers: z.array(z.string()),
});
/** What taking a bundle would do, told before anything is written. */
export type ImportPlan = z.infer<typeof importPlanSchema>;

export const importTakenSchema = z.strictObject({
  /** Ours stays where it differs; without that a bundle that differs is refused. */
  keepOurs: z.boolean(),
});

/** What does not hold of something that was signed, as a code that words hang on. */
export const BREAKS = [
  'document-changed',
  'not-by-key',
  'key-unknown',
  'one-missing-before',
  'record-changed',
  'record-gone',
  'never-signed',
  'photo-changed',
  'photo-gone',
] as const;
const breakSchema = z.object({
  code: z.enum(BREAKS),
  vehicleId: idSchema,
  fleetCode: z.string(),
  /** The visit it is about; null where it is the chain itself. */
  inspectionId: idSchema.nullable(),
  startedAt: instantSchema.nullable(),
  /** What is otherwise: a field and what it was and is, or a hash. */
  about: z.string(),
});
/** One thing that was signed and is not as it was. */
export type Break = z.infer<typeof breakSchema>;

export const verifiedSchema = z.object({
  /** Signatures looked at. */
  signatures: z.number(),
  /** Signed visits from before there were signatures: nothing can be said of them. */
  unsealed: z.number(),
  photos: z.number(),
  /** The first of what does not hold, vehicle by vehicle in the order it was signed. */
  breaks: z.array(breakSchema),
});
/** What looking at everything that was signed found. */
export type Verified = z.infer<typeof verifiedSchema>;
