import { z } from 'zod';

/** UUID made on the device, any version. */
export const idSchema = z.uuid();
/** ISO 8601 instant with zone. */
export const instantSchema = z.iso.datetime({ offset: true });

/** Free text of at most `most` characters; the one character PostgreSQL cannot keep, NUL, is refused. */
export function textSchema(most: number) {
  return z
    .string()
    .max(most)
    .refine((text) => !text.includes('\u0000'), 'text without NUL characters');
}
