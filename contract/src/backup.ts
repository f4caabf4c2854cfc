import { z } from 'zod';
import { instantSchema } from './records/shapes';

const setSchema = z.object({
  name: z.string(),
  made: instantSchema,
  /** Of its own; photos are shared by all. */
  bytes: z.number(),
});
/** One backup that was made and checked. */
export type BackupSet = z.infer<typeof setSchema>;

export const storageSchema = z.object({
  backups: z.object({
    folder: z.string(),
    /** Newest first. */
    sets: z.array(setSchema),
    photoBytes: z.number(),
    /** Why the last one failed; null where it did not. */
    problem: z.object({ at: instantSchema, why: z.string() }).nullable(),
    /** Whether a lead should be told: the last one failed, or is too old. */
    alarm: z.boolean(),
  }),
  /** What takes how much room on the server's disk, bytes. */
  room: z.object({
    database: z.number(),
    journal: z.number(),
    checkpoints: z.number(),
    photos: z.number(),
    imports: z.number(),
  }),
});
/** What is kept where on the server, and what of it is kept twice. */
export type Storage = z.infer<typeof storageSchema>;
