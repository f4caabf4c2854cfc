import { z } from 'zod';
import { actSchema } from './act';
import { findingSchema } from './finding';
import { MOST_AHEAD, aheadNoteSchema, newInspectionSchema } from './inspection';
import { idSchema, instantSchema, textSchema } from './shapes';
import { lifeEntrySchema } from './lifeEntry';
import { rulebookSchema } from './rulebook';
import { vehicleSchema } from './vehicle';

const envelope = { id: idSchema, at: instantSchema, device: textSchema(60).min(1) };

/** A change made on a device: applied once by its id, in one transaction with its effect. */
export const operationSchema = z.discriminatedUnion('kind', [
  z.strictObject({ ...envelope, kind: z.literal('vehicle.put'), body: vehicleSchema }),
  z.strictObject({
    ...envelope,
    kind: z.literal('inspection.start'),
    body: newInspectionSchema,
  }),
  z.strictObject({ ...envelope, kind: z.literal('finding.put'), body: findingSchema }),
  z.strictObject({
    ...envelope,
    kind: z.literal('inspection.sign'),
    body: z.strictObject({
      inspectionId: idSchema,
      signedAt: instantSchema,
      /** A lead signs over open ends, and says why. */
      over: textSchema(500).trim().min(1).optional(),
      /** How the wear readings looked ahead as the signer saw them; none told by an app too old to. */
      ahead: z.array(aheadNoteSchema).max(MOST_AHEAD).optional(),
    }),
  }),
  z.strictObject({ ...envelope, kind: z.literal('act.put'), body: actSchema }),
  z.strictObject({ ...envelope, kind: z.literal('entry.put'), body: lifeEntrySchema }),
  z.strictObject({ ...envelope, kind: z.literal('rulebook.put'), body: rulebookSchema }),
]);
export type Operation = z.infer<typeof operationSchema>;
export type OperationKind = Operation['kind'];
export type OperationBody<K extends OperationKind> = Extract<Operation, { kind: K }>['body'];

export const MOST_OPERATIONS = 100;
export const operationBatchSchema = z.strictObject({
  operations: z.array(operationSchema).min(1).max(MOST_OPERATIONS),
});

/** Why an operation whose shape is right could still not take effect. */
export const REFUSALS = [
  'no-vehicle',
  'no-inspection',
  'already-signed',
  'already-there',
  'no-place',
  'fleet-code-taken',
  'no-parent',
  'lead-only',
  'rules-changed',
  'ends-open',
  'no-end',
  'no-entry',
] as const;
export type Refusal = (typeof REFUSALS)[number];

export const operationOutcomeSchema = z.object({
  id: idSchema,
  status: z.enum(['applied', 'repeated', 'refused']),
  refusal: z.enum(REFUSALS).nullable(),
});
export type OperationOutcome = z.infer<typeof operationOutcomeSchema>;
