import { z } from 'zod';
import { textSchema } from './records/shapes';

/** Which device a listener is, so that it is not told of itself. */
export const deviceSchema = textSchema(60).min(1);

/** Where somebody stands in a visit. */
export const placeHeldSchema = z.strictObject({ device: deviceSchema, stop: textSchema(20).min(1) });

/** Everybody who has the visit open. */
export const presenceSchema = z.array(z.object({ device: z.string(), name: z.string(), stop: z.string().nullable() }));
/** Who else is at a visit, and at which stop. */
export type Presence = z.infer<typeof presenceSchema>;

/** What `changed` tells: whose device did it. */
export const changedSchema = z.object({ device: deviceSchema });
/** That a visit changed, and on whose device. */
export type Changed = z.infer<typeof changedSchema>;

/** `changed`: fetch the visit again, unless it was this device. `here`: a {@link Presence}. */
export type LiveEvent = 'changed' | 'here';
