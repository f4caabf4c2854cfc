import { VEHICLE_CLASSES, type Axle, type Vehicle } from '@weskopos/core';
import { z } from 'zod';
import { idSchema, textSchema } from './shapes';

const axleSchema = z.strictObject({
  dual: z.boolean(),
  brake: z.enum(['disc', 'drum']),
  placardKpa: z.number().min(50).max(1200).nullable(),
}) satisfies z.ZodType<Axle>;

/** A vehicle as the workshop keeps it. */
export const vehicleSchema: z.ZodType<Vehicle> = z.strictObject({
  id: idSchema,
  fleetCode: textSchema(20).trim().min(1),
  plate: textSchema(20).trim(),
  make: textSchema(40).trim(),
  model: textSchema(60).trim(),
  year: z.number().int().min(1900).max(2100),
  class: z.enum(VEHICLE_CLASSES),
  axles: z.array(axleSchema).min(2).max(4),
  use: textSchema(80).trim(),
});
