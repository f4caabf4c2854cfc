import { z } from 'zod';

/** UUID made on the device, any version. */
export const idSchema = z.uuid();
/** ISO 8601 instant with zone. */
export const instantSchema = z.iso.datetime({ offset: true });

/** What PostgreSQL cannot keep as text or JSON: NUL, and half of a surrogate pair. */
const UNKEEPABLE = /[\u0000\p{Surrogate}]/u;

/** Free text of at most `most` characters that any database can keep. */
export function textSchema(most: number) {
  return z
    .string()
    .max(most)
    .refine((text) => !UNKEEPABLE.test(text), 'text without NUL or broken characters');
}
