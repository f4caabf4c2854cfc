import { z } from 'zod';
import { idSchema, textSchema } from './records/shapes';

export const ROLES = ['inspector', 'lead'] as const;
/** What a person may do in the workshop. */
export type Role = (typeof ROLES)[number];

export const personSchema = z.object({ id: idSchema, name: z.string(), role: z.enum(ROLES) });
/** Somebody of the workshop, as others see them. */
export type Person = z.infer<typeof personSchema>;

const nameSchema = textSchema(60).trim().min(1);
/** PIN or password; six characters at least, since the sign-in is also rate limited. */
const secretSchema = z.string().min(6).max(200);

export const signInSchema = z.strictObject({ name: nameSchema, secret: z.string().min(1).max(200) });
export const newPersonSchema = z.strictObject({ name: nameSchema, secret: secretSchema, role: z.enum(ROLES) });
export const setupSchema = z.strictObject({
  code: z.string().trim().min(1).max(60),
  name: nameSchema,
  secret: secretSchema,
});
