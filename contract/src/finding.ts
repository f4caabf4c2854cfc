import {
  ACCESS,
  ACCESS_REASONS,
  FLUIDS,
  LEAK_PLACES,
  LEAK_REACHES,
  LEAK_STAGES,
  MEASURE_CODES,
  POINT_CODES,
  WORDS,
  impossibleIn,
  type Finding,
  type LeakObservation,
  type Reading,
} from '@weskopos/core';
import { z } from 'zod';
import { idSchema, instantSchema, textSchema } from './shapes';

export const readingSchema = z.strictObject({
  measure: z.enum(MEASURE_CODES),
  spot: z.enum(['whole', 'outer', 'centre', 'inner']),
  phase: z.enum(['found', 'left']),
  values: z.array(z.number()).min(1).max(5),
}) satisfies z.ZodType<Reading>;

export const leakSchema = z.strictObject({
  stage: z.enum(LEAK_STAGES),
  fluid: z.enum(FLUIDS),
  place: z.enum(LEAK_PLACES).nullable(),
  reaches: z.enum(LEAK_REACHES),
  wiped: z.boolean(),
}) satisfies z.ZodType<LeakObservation>;

const plainFindingSchema = z.strictObject({
  id: idSchema,
  inspectionId: idSchema,
  parent: idSchema.nullable(),
  point: z.enum(POINT_CODES),
  place: z.string().regex(/^([1-4][LR][oi]?)?$/, 'a place such as 1L or 2Ro'),
  access: z.enum(ACCESS),
  accessReason: z.enum(ACCESS_REASONS).nullable(),
  readings: z.array(readingSchema).max(12),
  words: z.array(z.enum(WORDS)).max(20),
  leak: leakSchema.nullable(),
  note: textSchema(2000),
  photos: z.array(idSchema).max(12),
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

/** A finding as the server gives it back: with who made it. */
export const storedFindingSchema: z.ZodType<StoredFinding> = plainFindingSchema.extend({ by: z.string() });
export type StoredFinding = Finding & { readonly by: string };
