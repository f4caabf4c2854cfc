import { z } from 'zod';

/** UUID made on the device, any version. */
export const idSchema = z.uuid();
/** ISO 8601 instant with zone. */
export const instantSchema = z.iso.datetime({ offset: true });
