import {
  ACCESS,
  ACCESS_REASONS,
  BOUNDS,
  CODE_STATES,
  COUNTED_ITEMS,
  CRANK_STANDARDS,
  DRY,
  FLUIDS,
  HOW_READ,
  LAMP_SPOTS,
  LEAK_PLACES,
  LEAK_REACHES,
  LEAK_STAGES,
  MEASURE_CODES,
  NEEDS,
  PHASES,
  POINT_CODES,
  SPOTS,
  WORDS,
  impossibleIn,
  type Finding,
  type FindingPhoto,
  type LeakObservation,
  type Reading,
} from '@weskopos/core';
import { z } from 'zod';
import { idSchema, instantSchema, placeSchema, textSchema } from './shapes';
import { isRaw, mapped, recordKind, type Raw } from './record';
import { date, flag, float, instant, integer, json, text, uuid, type Table } from './table';

export const readingSchema = z.strictObject({
  measure: z.enum(MEASURE_CODES),
  spot: z.enum(SPOTS),
  phase: z.enum(PHASES),
  values: z.array(z.number()).min(1).max(5),
  bound: z.enum(BOUNDS),
  step: z.number().positive().max(1000).nullable(),
}) satisfies z.ZodType<Reading>;

export const leakSchema = z.strictObject({
  stage: z.enum(LEAK_STAGES),
  fluid: z.enum(FLUIDS),
  place: z.enum(LEAK_PLACES).nullable(),
  reaches: z.enum(LEAK_REACHES),
  wiped: z.boolean(),
  dropsPerMinute: z.number().min(0).max(600).nullable(),
  onlyRunning: z.boolean().nullable(),
}) satisfies z.ZodType<LeakObservation>;

/** A position over a photo, share of its width or height. */
const shareSchema = z.number().min(0).max(1);
const photoMarkSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('arrow'), x: shareSchema, y: shareSchema, toX: shareSchema, toY: shareSchema }),
  z.strictObject({ kind: z.literal('ring'), x: shareSchema, y: shareSchema, radius: shareSchema }),
  z.strictObject({ kind: z.literal('text'), x: shareSchema, y: shareSchema, text: textSchema(80).min(1) }),
]);
const findingPhotoSchema = z.strictObject({
  id: idSchema,
  caption: textSchema(200),
  marks: z.array(photoMarkSchema).max(30),
}) satisfies z.ZodType<FindingPhoto>;

const plainFindingSchema = z.strictObject({
  id: idSchema,
  inspectionId: idSchema,
  parent: idSchema.nullable(),
  point: z.enum(POINT_CODES),
  place: placeSchema,
  access: z.enum(ACCESS),
  accessReason: z.enum(ACCESS_REASONS).nullable(),
  readings: z.array(readingSchema).max(24),
  words: z.array(z.enum(WORDS)).max(20),
  leaks: z.array(leakSchema).max(12),
  counts: z
    .array(
      z.strictObject({
        item: z.enum(COUNTED_ITEMS),
        good: z.number().int().min(0).max(99),
        of: z.number().int().min(1).max(99),
        found: z.number().int().min(0).max(99).nullable(),
        out: z.array(z.enum(LAMP_SPOTS)).max(LAMP_SPOTS.length).readonly(),
      }),
    )
    .max(COUNTED_ITEMS.length),
  codes: z
    .array(
      z.strictObject({
        code: textSchema(20).trim().min(1),
        text: textSchema(200),
        state: z.enum(CODE_STATES),
      }),
    )
    .max(40),
  howRead: z.enum(HOW_READ).nullable(),
  standard: z.enum(CRANK_STANDARDS).nullable(),
  override: z.strictObject({ grade: z.enum(['pass', 'advisory', 'fail']), reason: textSchema(500) }).nullable(),
  carried: z.strictObject({ at: z.iso.date(), from: z.enum(['visit', 'job']) }).nullable(),
  inOneStroke: z.boolean(),
  note: textSchema(2000),
  photos: z.array(findingPhotoSchema).max(12),
  outOf: z.array(z.enum(NEEDS)).max(NEEDS.length),
  kept: z.array(textSchema(60)).max(20),
  at: instantSchema,
}) satisfies z.ZodType<Finding>;

/** A finding that could be true: the catalogue's ranges and words are part of the shape. */
export const findingSchema: z.ZodType<Finding> = plainFindingSchema.superRefine((finding, context) => {
  for (const problem of impossibleIn(finding)) {
    context.addIssue({
      code: 'custom',
      path: problem.field.split('.').map((part) => (/^\d+$/.test(part) ? Number(part) : part)),
      message: `allowed: ${problem.allowed}`,
      params: { code: problem.code, allowed: problem.allowed },
    });
  }
});

const lacks = (list: unknown, key: string) => Array.isArray(list) && list.some((one) => isRaw(one) && !(key in one));
const lacksGauge = ({ readings, counts }: Raw) => lacks(readings, 'step') || lacks(counts, 'found');

export const findingRecord = recordKind<Finding>({
  name: 'finding',
  schema: findingSchema,
  versionOf: (raw) =>
    'leak' in raw ? 1 : !('outOf' in raw) ? 2 : lacksGauge(raw) ? 3 : lacks(raw.counts, 'out') ? 4 : 5,
  upgrades: [
    // One leak, photos by id alone, readings that were never a bound.
    ({ leak, readings, photos, ...rest }) => ({
      ...rest,
      readings: mapped(readings, (reading) => (isRaw(reading) ? { bound: 'exact', ...reading } : reading)),
      photos: mapped(photos, (photo) => (typeof photo === 'string' ? { id: photo, caption: '', marks: [] } : photo)),
      leaks: isRaw(leak) ? [{ ...DRY, ...leak }] : [],
      counts: [],
      codes: [],
      howRead: null,
      standard: null,
      override: null,
      carried: null,
      inOneStroke: false,
    }),
    // Before there were states to be read in, nothing was known against a reading.
    (raw) => ({ ...raw, outOf: [] }),
    // Every gauge was the usual one, and a count had one figure whatever was changed.
    (raw) => ({
      ...raw,
      readings: mapped(raw.readings, (one) => (isRaw(one) ? { step: null, ...one } : one)),
      counts: mapped(raw.counts, (one) => (isRaw(one) ? { found: null, ...one } : one)),
    }),
    // Which lamps are out was not said.
    (raw) => ({
      ...raw,
      counts: mapped(raw.counts, (one) => (isRaw(one) ? { out: [], ...one } : one)),
    }),
  ],
});

export const findingTable: Table<Finding> = {
  table: 'finding',
  fields: {
    id: uuid('id'),
    inspectionId: uuid('inspection_id'),
    parent: uuid('parent'),
    point: text('point'),
    place: text('place'),
    access: text('access'),
    accessReason: text('access_reason'),
    readings: {
      list: 'reading',
      key: 'finding_id',
      columns: {
        measure: text('measure'),
        spot: text('spot'),
        phase: text('phase'),
        bound: text('bound'),
        step: float('step'),
      },
      each: { field: 'values', column: float('value') },
    },
    words: json('words'),
    leaks: {
      list: 'leak',
      key: 'finding_id',
      position: 'n',
      columns: {
        stage: text('stage'),
        fluid: text('fluid'),
        place: text('place'),
        reaches: text('reaches'),
        wiped: flag('wiped'),
        dropsPerMinute: float('drops_per_minute'),
        onlyRunning: flag('only_running'),
      },
    },
    counts: {
      list: 'item_count',
      key: 'finding_id',
      columns: {
        item: text('item'),
        good: integer('good'),
        of: integer('of_all'),
        found: integer('found'),
        out: json('out_spots'),
      },
    },
    codes: {
      list: 'fault_code',
      key: 'finding_id',
      position: 'n',
      columns: { code: text('code'), text: text('words'), state: text('state') },
    },
    howRead: text('how_read'),
    standard: text('standard'),
    override: { group: { grade: text('override_grade'), reason: text('override_reason') } },
    carried: { group: { at: date('carried_at'), from: text('carried_from') } },
    inOneStroke: flag('in_one_stroke'),
    note: text('note'),
    photos: {
      list: 'finding_photo',
      key: 'finding_id',
      position: 'position',
      columns: { id: uuid('photo_id'), caption: text('caption'), marks: json('marks') },
    },
    outOf: json('out_of'),
    kept: json('kept'),
    at: instant('made_at'),
  },
};

/** A finding as the server gives it back: with who made it. */
export const storedFindingSchema: z.ZodType<StoredFinding> = plainFindingSchema.extend({ by: z.string() });
/** An entry with who made it. */
export type StoredFinding = Finding & { readonly by: string };
