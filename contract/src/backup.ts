import { z } from 'zod';
import { instantSchema } from './records/shapes';

const setSchema = z.object({
  name: z.string(),
  made: instantSchema,
  /** Of its own. */
  bytes: z.number(),
  /** Of its photos, which all sets share. */
  photoBytes: z.number(),
});
/** One backup that was made and checked. */
export type BackupSet = z.infer<typeof setSchema>;

export const storageSchema = z.object({
  backups: z.object({
    folder: z.string(),
    /** Newest first. */
    sets: z.array(setSchema),
    /** Why the last one failed; null where it did not. */
    problem: z.object({ at: instantSchema, why: z.string() }).nullable(),
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

export const alarmSchema = z.object({
  /** The last backup failed, or is days old; null where all is well. */
  alarm: z.enum(['failed', 'old']).nullable(),
});
/** Whether a lead should be told that the workshop is not kept twice. */
export type Alarm = z.infer<typeof alarmSchema>;
