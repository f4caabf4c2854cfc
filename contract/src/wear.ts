import { z } from 'zod';

/** How wear goes with depth. */
export const depthCurveSchema = z.object({
  power: z.number().lt(1),
  middle: z.number().positive(),
  spread: z.number().nonnegative().optional(),
});
