import { z } from 'zod';
import { LANGUAGES, SHEET_SIZES, WORDINGS } from './paperNames';

/** How a report is wanted on paper; what is not said is the workshop's own, in English, on A4. */
export const paperStyleSchema = z.strictObject({
  language: z.enum(LANGUAGES).default('en'),
  wording: z.enum(WORDINGS).default('workshop'),
  size: z.enum(SHEET_SIZES).default('A4'),
});
export type PaperStyle = z.infer<typeof paperStyleSchema>;

/** How far a report is, in parts; nothing is made where there are none. */
export const paperProgressSchema = z.object({ done: z.number(), of: z.number() });
