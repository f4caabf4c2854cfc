import { VEHICLE_CLASSES, type Axle, type Vehicle } from '@weskopos/core';
import { z } from 'zod';
import { idSchema } from './shapes';

const axleSchema = z.strictObject({
  dual: z.boolean(),
  brake: z.enum(['disc', 'drum']),
  placardKpa: z.number().min(50).max(1200).nullable(),
}) satisfies z.ZodType<Axle>;

/** A vehicle as the workshop keeps it. */
export const vehicleSchema: z.ZodType<Vehicle> = z.strictObject({
  id: idSchema,
  fleetCode: z.string().trim().min(1).max(20),
  plate: z.string().trim().max(20),
  make: z.string().trim().max(40),
  model: z.string().trim().max(60),
  year: z.number().int().min(1900).max(2100),
  class: z.enum(VEHICLE_CLASSES),
  axles: z.array(axleSchema).min(2).max(4),
  use: z.string().trim().max(80),
});
