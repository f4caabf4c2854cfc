import { z } from 'zod';
import { idSchema, instantSchema, textSchema } from './records/shapes';

/** What is put on the audit list: changes that only some may make, and what leaves no record of its own. */
export const AUDITED = [
  'sign-in',
  'sign-in-failed',
  'sign-out',
  'session-ended',
  'export',
  'backup',
  'person.add',
  'person.change',
  'person.secret',
  'token.give',
  'token.end',
  'rulebook.put',
  'bundle.take',
  'keeper.blank',
  'link.give',
  'link.end',
  'prices.put',
  'calendar.give',
  'calendar.end',
  'override',
  'gate-override',
  'signed-over',
  'amendment.put',
  'inspection.void',
  'inspection.restore',
] as const;
/** A kind of line of the audit list. */
export type Audited = (typeof AUDITED)[number];

/** Lines of one answer at most. */
export const MOST_AUDIT_LINES = 200;

/** Why what is told of a keeper is taken out. */
export const blankKeeperSchema = z.strictObject({ why: textSchema(500).trim().min(1) });

export const auditSearchSchema = z.strictObject({
  kind: z.enum(AUDITED).nullable(),
  personId: idSchema.nullable(),
  /** Only what was done before; null from the newest on. */
  before: instantSchema.nullable(),
});
const auditLineSchema = z.object({
  id: z.string(),
  at: instantSchema,
  kind: z.enum(AUDITED),
  /** Null where nobody was let in. */
  by: z.string().nullable(),
  /** A name, a fleet code, a version, a scope: what it was done to. */
  about: z.string(),
});
/** One line of the audit list. */
export type AuditLine = z.infer<typeof auditLineSchema>;
export const auditAnswerSchema = z.object({
  lines: z.array(auditLineSchema),
  /** There is more before the last of them. */
  more: z.boolean(),
});
export type AuditAnswer = z.infer<typeof auditAnswerSchema>;

/** What a program that has a token may do: look at everything but people, or send changes and tables too. */
export const TOKEN_SCOPES = ['read', 'write'] as const;
export type TokenScope = (typeof TOKEN_SCOPES)[number];

export const newTokenSchema = z.strictObject({
  name: textSchema(60).trim().min(1),
  scope: z.enum(TOKEN_SCOPES),
});
export const tokenSchema = z.object({
  id: idSchema,
  name: z.string(),
  scope: z.enum(TOKEN_SCOPES),
  givenBy: z.string(),
  givenAt: instantSchema,
});
/** A program that may come in, without what it comes in by. */
export type Token = z.infer<typeof tokenSchema>;
/** Told once, when it is given. */
export const givenTokenSchema = tokenSchema.extend({ token: z.string() });
