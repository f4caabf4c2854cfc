import {
  END_KINDS,
  GATE_QUESTIONS,
  PROOF_DOUBTS,
  PROOF_RANGES,
  STATE_CHANGES,
  WAIT_KINDS,
  WAIT_RANGE_S,
  type Act,
  type EndProof,
} from '@weskopos/core';
import { z } from 'zod';
import { idSchema, instantSchema, textSchema } from './shapes';

const within = ({ least, most }: { readonly least: number; readonly most: number }) => z.number().min(least).max(most);
const common = { id: idSchema, inspectionId: idSchema, at: instantSchema };
const reasonSchema = textSchema(500).trim().min(1);
const fastenersSchema = z.number().int().min(0).max(99);

const proofSchema = z.strictObject({
  torqueNm: within(PROOF_RANGES.torqueNm).nullable(),
  litres: within(PROOF_RANGES.litres).nullable(),
  level: within(PROOF_RANGES.level).nullable(),
  fasteners: fastenersSchema.nullable(),
  washer: z.enum(['new', 'reused']).nullable(),
  oldSealSeen: z.boolean().nullable(),
  onGround: z.boolean().nullable(),
  kept: z.array(z.enum(PROOF_DOUBTS)).max(PROOF_DOUBTS.length),
  note: textSchema(500),
}) satisfies z.ZodType<EndProof>;

const kinds = [
  z.strictObject({ ...common, kind: z.literal('state'), change: z.enum(STATE_CHANGES) }),
  z.strictObject({ ...common, kind: z.literal('gate'), question: z.enum(GATE_QUESTIONS), answer: z.boolean() }),
  z.strictObject({ ...common, kind: z.literal('gate-override'), reason: reasonSchema }),
  z.strictObject({
    ...common,
    kind: z.literal('open'),
    end: z.enum(END_KINDS),
    place: z.string().regex(/^([1-4]([LR][oi]?)?)?$/, 'a place such as 1L, or none'),
    fasteners: fastenersSchema.min(1).nullable(),
  }),
  z.strictObject({ ...common, kind: z.literal('close'), opens: idSchema, proof: proofSchema }),
  z.strictObject({ ...common, kind: z.literal('fill'), opens: idSchema, litres: within(PROOF_RANGES.litres) }),
  z.strictObject({
    ...common,
    kind: z.literal('wait'),
    wait: z.enum(WAIT_KINDS),
    lengthS: within(WAIT_RANGE_S),
  }),
  z.strictObject({ ...common, kind: z.literal('wait-done'), waits: idSchema }),
] as const;

/** Something done in a visit besides looking. */
export const actSchema: z.ZodType<Act> = z.discriminatedUnion('kind', kinds);

/** An act as the server gives it back: with who did it. */
export const storedActSchema: z.ZodType<StoredAct> = z
  .looseObject({ by: z.string() })
  .transform(({ by, ...act }) => ({ ...actSchema.parse(act), by }));
export type StoredAct = Act & { readonly by: string };
