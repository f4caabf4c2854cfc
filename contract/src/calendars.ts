import { z } from 'zod';
import { idSchema, instantSchema } from './records/shapes';

/** What a calendar shows: all planned works, those somebody planned, or one vehicle with what falls due there. */
export const CALENDARS_OF = ['workshop', 'person', 'vehicle'] as const;
export type CalendarOf = (typeof CALENDARS_OF)[number];

export const newCalendarSchema = z
  .strictObject({ of: z.enum(CALENDARS_OF), vehicleId: idSchema.nullable() })
  .refine(({ of, vehicleId }) => (of === 'vehicle') === (vehicleId !== null), {
    path: ['vehicleId'],
    message: 'a vehicle for a calendar of a vehicle, none for another',
  });
const calendarSchema = z.object({
  id: idSchema,
  of: z.enum(CALENDARS_OF),
  /** Whose: the vehicle's fleet code or the person's name; empty for the workshop's. */
  about: z.string(),
  vehicleId: idSchema.nullable(),
  givenBy: z.string(),
  givenAt: instantSchema,
});
/** A calendar other programs may read, without what opens it. */
export type Calendar = z.infer<typeof calendarSchema>;
export const calendarsSchema = z.array(calendarSchema);
/** Told once, when it is made. */
export const givenCalendarSchema = calendarSchema.extend({ token: z.string() });
