import {
  DEBRIS,
  END_KINDS,
  GATE_QUESTIONS,
  NO_PROOF,
  PROOF_DOUBTS,
  PROOF_RANGES,
  STATE_CHANGES,
  WAIT_KINDS,
  WAIT_RANGE_S,
  typedKeys,
  type Act,
  type EndProof,
  type Place,
} from '@weskopos/core';
import { z } from 'zod';
import { idSchema, instantSchema, placeSchema, textSchema, withBy } from './shapes';
import { isRaw, recordKind, type Raw } from './record';
import { flag, float, instant, integer, json, text, uuid, type Table } from './table';

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
  angleDone: z.boolean().nullable(),
  renewed: z.boolean().nullable(),
  debris: z.enum(DEBRIS).nullable(),
  primed: z.boolean().nullable(),
  seenTo: z.boolean().nullable(),
  partNumber: textSchema(60).trim(),
  marked: z.boolean().nullable(),
  kept: z.array(z.enum(PROOF_DOUBTS)).max(PROOF_DOUBTS.length),
  note: textSchema(500),
}) satisfies z.ZodType<EndProof>;

const kinds = [
  z.strictObject({ ...common, kind: z.literal('state'), change: z.enum(STATE_CHANGES) }),
  z.strictObject({ ...common, kind: z.literal('gate'), question: z.enum(GATE_QUESTIONS), answer: z.boolean() }),
  z.strictObject({
    ...common,
    kind: z.literal('gate-override'),
    question: z.enum(GATE_QUESTIONS).nullable(),
    reason: reasonSchema,
  }),
  z.strictObject({
    ...common,
    kind: z.literal('open'),
    end: z.enum(END_KINDS),
    place: placeSchema,
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
export const storedActSchema = z.discriminatedUnion('kind', withBy(kinds)) as z.ZodType<StoredAct>;
/** An act with who did it. */
export type StoredAct = Act & { readonly by: string };

const lacksProofs = ({ proof }: Raw) => isRaw(proof) && !('partNumber' in proof);

export const actRecord = recordKind<Act>({
  name: 'act',
  schema: actSchema,
  versionOf: (raw) => (lacksProofs(raw) || (raw.kind === 'gate-override' && !('question' in raw)) ? 1 : 2),
  // Nobody was asked for what came to be proved since; a lead let it start over every no there was.
  upgrades: [
    (raw) => ({
      ...raw,
      ...(isRaw(raw.proof) ? { proof: { ...NO_PROOF, ...raw.proof } } : {}),
      ...(raw.kind === 'gate-override' ? { question: null } : {}),
    }),
  ],
});

/** An act laid flat: what its kind does not have is null. */
export interface FlatAct extends Partial<EndProof> {
  readonly id: string;
  readonly inspectionId: string;
  readonly kind: Act['kind'];
  readonly at: string;
  /** The end that is closed or filled, the wait that is done. */
  readonly refers: string | null;
  /** The state change, the gate's question, the kind of end or wait. */
  readonly subject: string | null;
  readonly place: Place;
  readonly answer: boolean | null;
  readonly reason: string | null;
  readonly lengthS: number | null;
}

/** An act laid flat for its table; {@link actFrom} brings it back. */
export function flatAct(act: Act): FlatAct {
  const { id, inspectionId, kind, at } = act;
  const common = { id, inspectionId, kind, at };
  const nothing = { refers: null, subject: null, place: '', answer: null, reason: null, lengthS: null } as const;
  const silent = { ...NO_PROOF, ...common, ...nothing };
  switch (act.kind) {
    case 'state':
      return { ...silent, subject: act.change };
    case 'gate':
      return { ...silent, subject: act.question, answer: act.answer };
    case 'gate-override':
      return { ...silent, subject: act.question, reason: act.reason };
    case 'open':
      return { ...silent, subject: act.end, place: act.place, fasteners: act.fasteners };
    case 'fill':
      return { ...silent, refers: act.opens, litres: act.litres };
    case 'wait':
      return { ...silent, subject: act.wait, lengthS: act.lengthS };
    case 'wait-done':
      return { ...silent, refers: act.waits };
    case 'close':
      return { ...silent, ...act.proof, refers: act.opens };
  }
}

/** The act that was laid flat. What the schema let in comes out: the columns were filled from it. */
export function actFrom(flat: FlatAct): Act {
  const { id, inspectionId, kind, at } = flat;
  return { id, inspectionId, at, ...contentOf(flat, kind) } as Act;
}

function contentOf(flat: FlatAct, kind: Act['kind']): object {
  switch (kind) {
    case 'state':
      return { kind, change: flat.subject };
    case 'gate':
      return { kind, question: flat.subject, answer: flat.answer };
    case 'gate-override':
      return { kind, question: flat.subject, reason: flat.reason };
    case 'open':
      return { kind, end: flat.subject, place: flat.place, fasteners: flat.fasteners };
    case 'fill':
      return { kind, opens: flat.refers, litres: flat.litres };
    case 'wait':
      return { kind, wait: flat.subject, lengthS: flat.lengthS };
    case 'wait-done':
      return { kind, waits: flat.refers };
    case 'close': {
      const proof = Object.fromEntries(typedKeys(NO_PROOF).map((field) => [field, flat[field]]));
      return { kind, opens: flat.refers, proof };
    }
  }
}

export const actTable: Table<FlatAct> = {
  table: 'act',
  fields: {
    id: uuid('id'),
    inspectionId: uuid('inspection_id'),
    kind: text('kind'),
    at: instant('made_at'),
    refers: uuid('refers'),
    subject: text('subject'),
    place: text('place'),
    answer: flag('answer'),
    reason: text('reason'),
    lengthS: float('length_s'),
    litres: float('litres'),
    fasteners: integer('fasteners'),
    torqueNm: float('torque_nm'),
    level: float('level'),
    washer: text('washer'),
    oldSealSeen: flag('old_seal_seen'),
    onGround: flag('on_ground'),
    angleDone: flag('angle_done'),
    renewed: flag('renewed'),
    debris: text('debris'),
    primed: flag('primed'),
    seenTo: flag('seen_to'),
    partNumber: text('part_number'),
    marked: flag('marked'),
    kept: json('kept'),
    note: text('note'),
  },
};
