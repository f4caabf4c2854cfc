import { z } from 'zod';
import { LEAST_SECRET } from './leastSecret';
import { idSchema, instantSchema, textSchema } from './records/shapes';

export const ROLES = ['inspector', 'lead'] as const;
/** What a person may do in the workshop. */
export type Role = (typeof ROLES)[number];

export const personSchema = z.object({ id: idSchema, name: z.string(), role: z.enum(ROLES) });
/** Somebody of the workshop, as others see them. */
export type Person = z.infer<typeof personSchema>;

const nameSchema = textSchema(60).trim().min(1);
export const PERSON_STATES = ['here', 'suspended', 'gone'] as const;
/** Whether a person may come in: for now not, or never again. The name stays on what was done. */
export type PersonState = (typeof PERSON_STATES)[number];

export const memberSchema = personSchema.extend({
  state: z.enum(PERSON_STATES),
  /** Was given a code that lets in once, and has not come in with it yet. */
  invited: z.boolean(),
});
/** Somebody of the workshop, as a lead sees them. */
export type Member = z.infer<typeof memberSchema>;

export const deviceSessionSchema = z.object({
  id: idSchema,
  personId: idSchema,
  /** Who is signed in there. */
  name: z.string(),
  openedAt: instantSchema,
  /** What the browser calls itself, shortened; empty where it does not. */
  device: z.string(),
  /** It is the one that asks. */
  here: z.boolean(),
});
/** A device on which somebody is signed in. */
export type DeviceSession = z.infer<typeof deviceSessionSchema>;

/** PIN or password; the sign-in is also rate limited. */
const secretSchema = z.string().min(LEAST_SECRET).max(200);

export const signInSchema = z.strictObject({
  name: nameSchema,
  secret: z.string().min(1).max(200),
  /** One's own secret, chosen where the one that was given lets in only once. */
  fresh: secretSchema.optional(),
});
export const ownSecretSchema = z.strictObject({ secret: z.string().min(1).max(200), fresh: secretSchema });
export const personChangeSchema = z.strictObject({
  role: z.enum(ROLES).optional(),
  state: z.enum(PERSON_STATES).optional(),
});
/** When a person looked at the yard the time before, on whichever device; null where there was none. */
export const lookedSchema = z.object({ before: instantSchema.nullable() });
export const onceSchema = z.object({ code: z.string(), until: instantSchema });
export const newPersonSchema = z.strictObject({ name: nameSchema, secret: secretSchema, role: z.enum(ROLES) });
export const setupSchema = z.strictObject({
  code: z.string().trim().min(1).max(60),
  name: nameSchema,
  secret: secretSchema,
});
