import {
  LOGGED_FLUIDS,
  NO_DETAILS,
  PART_KINDS,
  POINT_CODES,
  SPOTS,
  URGENCIES,
  WORK_CODES,
  WORK_STEPS,
  jobNamed,
  rotationProblem,
  type LifeEntry,
} from '@weskopos/core';
import { z } from 'zod';
import { idSchema, instantSchema, jobSchema, placeSchema, textSchema, wheelSchema, withBy } from './shapes';
import { recordKind } from './record';
import { float, instant, json, text, uuid, type Table } from './table';

const common = {
  id: idSchema,
  vehicleId: idSchema,
  at: instantSchema,
  meter: z.number().min(0).max(9_999_999).nullable(),
};
/** Letters of an answer; a keeper may have much to say. */
export const MOST_STEP_WORDS = 2000;
const dateSchema = z.iso.date();
const litresSchema = z.number().positive().max(1000);

const taskSchema = z
  .strictObject({
    code: z.enum(WORK_CODES),
    point: z.enum(POINT_CODES).nullable(),
    name: textSchema(60),
    place: placeSchema,
  })
  .refine(({ code, point }) => (code === 'put-right') === (point !== null), {
    path: ['point'],
    message: 'of what is put right',
  })
  .refine(({ code, name }) => code !== 'own' || name.trim() !== '', { path: ['name'], message: 'what it is' });
const reasonSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('finding'),
    inspectionId: idSchema,
    point: z.enum(POINT_CODES),
    place: placeSchema,
    grade: z.enum(['advisory', 'fail']),
    at: instantSchema,
  }),
  z.strictObject({
    kind: z.literal('runs-out'),
    point: z.enum(POINT_CODES),
    place: placeSchema,
    spot: z.enum(SPOTS),
    at: instantSchema,
    from: dateSchema,
    to: dateSchema.nullable(),
  }),
  z.strictObject({ kind: z.literal('due'), job: jobSchema, on: dateSchema }),
  z.strictObject({
    kind: z.literal('bolts'),
    fromKm: z.number().min(0).max(9_999_999),
    toKm: z.number().min(0).max(9_999_999),
    at: instantSchema,
  }),
]);

const minutesSchema = z.number().int().min(1).max(10_000).nullable();
const partsSchema = z
  .array(
    z.strictObject({
      name: textSchema(120).trim().min(1),
      number: textSchema(60),
      count: z.number().positive().max(1000),
    }),
  )
  .max(40);

const kinds = [
  z.strictObject({
    ...common,
    kind: z.literal('fit'),
    what: z.enum(PART_KINDS),
    place: placeSchema,
    fresh: z.number().positive().max(60).nullable(),
    note: textSchema(200),
  }),
  z.strictObject({
    ...common,
    kind: z.literal('rotate'),
    moves: z
      .array(z.strictObject({ from: wheelSchema, to: wheelSchema }))
      .max(12)
      .refine((moves) => rotationProblem(moves) === null, 'each wheel leaves one place and comes to one of the others'),
  }),
  z.strictObject({
    ...common,
    kind: z.literal('misread'),
    inspectionId: idSchema,
    point: z.enum(POINT_CODES),
    place: placeSchema,
    spot: z.enum(SPOTS),
  }),
  z.strictObject({
    ...common,
    kind: z.literal('fuel'),
    litres: litresSchema,
    full: z.boolean(),
    price: z.number().min(0).max(100_000).nullable(),
  }),
  z.strictObject({ ...common, kind: z.literal('top-up'), fluid: z.enum(LOGGED_FLUIDS), litres: litresSchema }),
  z.strictObject({ ...common, kind: z.literal('meter') }),
  z.strictObject({
    ...common,
    kind: z.literal('job'),
    job: jobSchema,
    place: placeSchema,
    litres: litresSchema.nullable(),
    numbers: textSchema(120),
    paper: textSchema(80),
  }),
  z.strictObject({ ...common, kind: z.literal('not-known'), job: jobSchema, paper: textSchema(80) }),
  z
    .strictObject({
      ...common,
      kind: z.literal('plan'),
      distance: z.number().positive().max(200_000),
      until: instantSchema,
    })
    .refine(({ at, until }) => until > at, { path: ['until'], message: 'after it was told' }),
  z
    .strictObject({
      ...common,
      kind: z.literal('work'),
      task: taskSchema,
      reasons: z.array(reasonSchema).max(40),
      urgency: z.enum(URGENCIES),
      from: dateSchema.nullable(),
      to: dateSchema.nullable(),
      minutes: minutesSchema,
      parts: partsSchema,
      note: textSchema(500),
    })
    .refine(({ from, to }) => from === null || to === null || to >= from, { path: ['to'], message: 'not before from' }),
  z.strictObject({
    ...common,
    kind: z.literal('work-cost'),
    refers: idSchema,
    minutes: minutesSchema,
    parts: partsSchema,
  }),
  z
    .strictObject({
      ...common,
      kind: z.literal('work-step'),
      refers: idSchema,
      step: z.enum(WORK_STEPS),
      words: textSchema(MOST_STEP_WORDS),
      on: dateSchema.nullable(),
      keeper: textSchema(60),
    })
    .refine(({ step, on }) => (step === 'planned') === (on !== null), { path: ['on'], message: 'of what is planned' }),
  z.strictObject({ ...common, kind: z.literal('undo'), refers: idSchema }),
] as const;

/** Something that happens to a vehicle besides its visits. */
export const lifeEntrySchema: z.ZodType<LifeEntry> = z.discriminatedUnion('kind', kinds);

/** An entry as the server gives it back: with who made it. */
export const storedLifeEntrySchema = z.discriminatedUnion('kind', withBy(kinds)) as z.ZodType<StoredLifeEntry>;
/** A life entry with who wrote it down. */
export type StoredLifeEntry = LifeEntry & { readonly by: string };

/** Urea solution had a trade mark for its code: told by its shape, not repeated here. */
const UREA_ONCE = /^ad[a-z]{4}$/;

export const lifeEntryRecord = recordKind<LifeEntry>({
  name: 'life entry',
  schema: lifeEntrySchema,
  versionOf: ({ kind, job, fluid, place }) => {
    if (typeof job === 'string') return 1;
    if (typeof fluid === 'string' && UREA_ONCE.test(fluid)) return 2;
    return kind === 'job' && place === undefined ? 3 : 4;
  },
  upgrades: [
    // A job had a name only.
    (raw) => (typeof raw.job === 'string' ? { ...raw, job: jobNamed(raw.job) } : raw),
    (raw) => (typeof raw.fluid === 'string' && UREA_ONCE.test(raw.fluid) ? { ...raw, fluid: 'urea' } : raw),
    // A job was told by its name and day alone.
    (raw) => (raw.kind === 'job' ? { ...NO_DETAILS, ...raw } : raw),
  ],
});

/** An entry laid flat: what only its kind has is in the body. */
export interface FlatLifeEntry {
  readonly id: string;
  readonly vehicleId: string;
  readonly kind: LifeEntry['kind'];
  readonly at: string;
  readonly meter: number | null;
  readonly body: object;
}

/** An entry laid flat for its table; {@link lifeEntryFrom} brings it back. */
export function flatLifeEntry({ id, vehicleId, kind, at, meter, ...body }: LifeEntry): FlatLifeEntry {
  return { id, vehicleId, kind, at, meter, body };
}

/** The entry that was laid flat. What the schema let in comes out. */
export const lifeEntryFrom = ({ body, ...common }: FlatLifeEntry): LifeEntry => ({ ...common, ...body }) as LifeEntry;

export const lifeEntryTable: Table<FlatLifeEntry> = {
  table: 'life_entry',
  fields: {
    id: uuid('id'),
    vehicleId: uuid('vehicle_id'),
    kind: text('kind'),
    at: instant('done_at'),
    meter: float('meter'),
    body: json('body'),
  },
};
