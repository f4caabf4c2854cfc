import { MOST_OPERATIONS, REFUSALS } from './operationKinds';
import { z } from 'zod';
import { actRecord } from './records/act';
import { findingRecord } from './records/finding';
import {
  MOST_AHEAD,
  aheadNoteSchema,
  correctionRecord,
  inspectionRecord,
  restoringRecord,
  voidingRecord,
} from './records/inspection';
import { amendmentRecord } from './records/signedSheet';
import { lifeEntryRecord } from './records/lifeEntry';
import { isRaw, NewerRecord, lift, recordKind, type Lifting, type RecordKind } from './records/record';
import { rulebookRecord } from './records/rulebook';
import { vehicleRecord } from './records/vehicle';
import { idSchema, instantSchema, textSchema } from './records/shapes';

const signatureSchema = z.strictObject({
  inspectionId: idSchema,
  signedAt: instantSchema,
  /** A lead signs over open ends, and says why. */
  over: textSchema(500).trim().min(1).optional(),
  /** How the wear readings looked ahead as the signer saw them; none told by an app too old to. */
  ahead: z.array(aheadNoteSchema).max(MOST_AHEAD).optional(),
});
const signatureRecord = recordKind<z.infer<typeof signatureSchema>>({
  name: 'signature',
  schema: signatureSchema,
  versionOf: () => 1,
  upgrades: [],
});

/** The record each kind of operation carries. */
export const OPERATION_RECORDS = {
  'vehicle.put': vehicleRecord,
  'inspection.start': inspectionRecord,
  'finding.put': findingRecord,
  'inspection.sign': signatureRecord,
  'inspection.void': voidingRecord,
  'inspection.restore': restoringRecord,
  'inspection.correct': correctionRecord,
  'amendment.put': amendmentRecord,
  'act.put': actRecord,
  'entry.put': lifeEntryRecord,
  'rulebook.put': rulebookRecord,
} as const;
/** What a device can change, by the name of the change. */
export type OperationKind = keyof typeof OPERATION_RECORDS;
/** What a change of one kind carries. */
export type OperationBody<K extends OperationKind> =
  (typeof OPERATION_RECORDS)[K] extends RecordKind<infer Body> ? Body : never;

/** A change made on a device. `v` is the version of the body's record, left out by apps older than versions. */
export type Operation = {
  [K in OperationKind]: {
    readonly id: string;
    readonly at: string;
    readonly device: string;
    readonly v?: number | undefined;
    readonly kind: K;
    readonly body: OperationBody<K>;
  };
}[OperationKind];

/** What any operation bears besides its kind and body. */
const envelope = {
  id: idSchema,
  at: instantSchema,
  device: textSchema(60).min(1),
  v: z.number().int().min(1).max(10_000).optional(),
};

const declared = <const K extends OperationKind>(kind: K) =>
  z.strictObject({
    ...envelope,
    kind: z.literal(kind),
    body: OPERATION_RECORDS[kind].schema as z.ZodType<OperationBody<K>>,
  });

const todaysOperationSchema: z.ZodType<Operation> = z.discriminatedUnion('kind', [
  declared('vehicle.put'),
  declared('inspection.start'),
  declared('finding.put'),
  declared('inspection.sign'),
  declared('inspection.void'),
  declared('inspection.restore'),
  declared('inspection.correct'),
  declared('amendment.put'),
  declared('act.put'),
  declared('entry.put'),
  declared('rulebook.put'),
]);

/** A change made on a device: applied once by its id, in one transaction with its effect. Older bodies are lifted. */
export const operationSchema = z.preprocess((raw, context) => {
  try {
    return liftOperation(raw);
  } catch (error) {
    if (!(error instanceof NewerRecord)) throw error;
    context.addIssue({ code: 'custom', path: ['v'], message: `allowed: 1 to ${error.known}` });
    return z.NEVER;
  }
}, todaysOperationSchema);

/**
 * An operation with its body lifted to today's shape, as far as it is one. Queues and journals hold what older apps wrote.
 *
 * @throws NewerRecord when a newer program wrote it
 */
export function liftOperation(operation: unknown): unknown {
  if (!isRaw(operation)) return operation;
  const { kind, v, body } = operation;
  const record = Object.entries<Lifting>(OPERATION_RECORDS).find(([name]) => name === kind)?.[1];
  if (!record) return operation;
  const version = typeof v === 'number' && Number.isInteger(v) && v >= 1 ? v : undefined;
  return { ...operation, v: record.version, body: lift(record, body, version) };
}

/** As {@link liftOperation}, for what is known to be an operation of some version. */
export function upgradeOperation<Op extends { readonly kind: string; readonly body: unknown }>(operation: Op): Op {
  return liftOperation(operation) as Op;
}

export const operationBatchSchema = z.strictObject({
  operations: z.array(operationSchema).min(1).max(MOST_OPERATIONS),
});

export const operationOutcomeSchema = z.object({
  id: idSchema,
  status: z.enum(['applied', 'repeated', 'refused']),
  refusal: z.enum(REFUSALS).nullable(),
});
/** What became of a change that was sent. */
export type OperationOutcome = z.infer<typeof operationOutcomeSchema>;
