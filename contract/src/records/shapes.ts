import { JOB_CODES, isPlace, isWheel, type Job } from '@weskopos/core';
import { z } from 'zod';

/** UUID made on the device, any version; one spelling, so that what names it finds it. */
export const idSchema = z.uuid().toLowerCase();
/** Earliest and latest moment a record may name, ms: what every clock, calendar and database here can tell. */
const MOMENTS = { first: Date.UTC(1900, 0, 1), end: Date.UTC(2200, 0, 1) } as const;

/** ISO 8601 instant with zone, in the years 1900 to 2199. */
export const instantSchema = z.iso.datetime({ offset: true }).refine((text) => {
  const moment = Date.parse(text);
  // An offset beyond 14 hours is no zone; the database knows none beyond 15:59.
  const [, hours = '0'] = /[+-](\d\d):\d\d$/.exec(text) ?? [];
  return moment >= MOMENTS.first && moment < MOMENTS.end && Number(hours) <= 14;
}, 'an instant in the years 1900 to 2199, its zone at most 14 hours from UTC');

/** What PostgreSQL cannot keep as text or JSON: NUL, and half of a surrogate pair. */
const UNKEEPABLE = /[\u0000\p{Surrogate}]/u;

/** Free text of at most `most` characters that any database can keep. */
export function textSchema(most: number) {
  return z
    .string()
    .max(most)
    .refine((text) => !UNKEEPABLE.test(text), 'text without NUL or broken characters');
}

/** A place on the vehicle: axle from the front and side, outer or inner of dual wheels; an axle alone, or nothing. */
export const placeSchema = z.string().refine(isPlace, 'a place such as 1L, 2Ro or 2, or none');

/** A counted version; at most what a 32-bit integer column holds. */
export const versionSchema = z.number().int().min(0).max(2_147_483_647);
export const wheelSchema = z.string().refine(isWheel, 'a wheel such as 1L, the spare, or one in store such as kept-1L');

/** A job by its code; one of the workshop's own by its name. */
export const jobSchema = z
  .strictObject({ code: z.enum(JOB_CODES), name: textSchema(80).trim() })
  .refine(({ code, name }) => code !== 'own' || name !== '', {
    path: ['name'],
    message: 'one to eighty characters for a job of your own',
  }) satisfies z.ZodType<Job>;

/** The kinds of a record as the server gives them back: with who made each. */
export function withBy<const Kinds extends readonly z.ZodObject[]>(
  kinds: Kinds,
): { [K in keyof Kinds]: z.ZodObject<Kinds[K]['shape'] & { by: z.ZodString }, z.core.$strict> } {
  // A list mapped one by one keeps its length, which its type does not say.
  return kinds.map((kind) => kind.safeExtend({ by: z.string() })) as never;
}
