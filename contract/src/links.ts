import { z } from 'zod';
import { LANGUAGES } from './paperNames';
import { idSchema, instantSchema, textSchema } from './records/shapes';

/** Days a link may be good for. */
export const LINK_DAYS = { least: 1, most: 365 } as const;
/** Letters of one answer. */
export const MOST_ANSWER = 2000;

const lineSchema = textSchema(400);
const photoSchema = z.strictObject({ id: idSchema, caption: textSchema(200) });

/** What a keeper is told, in words that were chosen when the link was made: it stays as it was told. */
export const letterSchema = z.strictObject({
  language: z.enum(LANGUAGES).default('en'),
  vehicle: textSchema(120).trim().min(1),
  /** By whom, and where to ask. */
  from: textSchema(120),
  /** How the vehicle stands, in one sentence. */
  verdict: lineSchema,
  /** It should not be driven. */
  stops: z.boolean(),
  works: z
    .array(
      z.strictObject({
        id: idSchema,
        name: textSchema(160).trim().min(1),
        /** What it is for, in plain words; may be empty. */
        plain: lineSchema,
        why: lineSchema,
        when: lineSchema,
        /** What it comes to, where the workshop has a list of prices; empty otherwise. */
        price: lineSchema.default(''),
        photos: z.array(photoSchema).max(6),
        /** How it looked before, and when; null where nobody took a picture then. */
        before: photoSchema.extend({ at: instantSchema }).nullable().default(null),
      }),
    )
    .min(1)
    .max(40),
  cautions: z.array(lineSchema).max(6),
});
export type Letter = z.infer<typeof letterSchema>;

export const newLinkSchema = z.strictObject({
  letter: letterSchema,
  days: z.number().int().min(LINK_DAYS.least).max(LINK_DAYS.most),
});
const linkSchema = z.object({
  id: idSchema,
  givenBy: z.string(),
  givenAt: instantSchema,
  until: instantSchema,
  /** When it was withdrawn; null where it was not. */
  endedAt: instantSchema.nullable(),
  works: z.number(),
});
/** A link a keeper was given, without what opens it. */
export type KeeperLink = z.infer<typeof linkSchema>;
export const linksSchema = z.array(linkSchema);
/** Told once, when it is made. */
export const givenLinkSchema = linkSchema.extend({ token: z.string() });
