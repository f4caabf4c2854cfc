import { WORK_CODES, type PriceList } from '@weskopos/core';
import { z } from 'zod';
import { textSchema } from './records/shapes';

const moneySchema = z.number().min(0).max(1_000_000);
export const priceListSchema: z.ZodType<PriceList> = z.strictObject({
  currency: z.string().regex(/^[A-Z]{3}$/, 'three capital letters, e.g. EUR'),
  taxPercent: z.number().min(0).max(50),
  hourRate: moneySchema.nullable(),
  parts: z
    .array(z.strictObject({ number: textSchema(60), name: textSchema(120).trim().min(1), price: moneySchema }))
    .max(20_000),
  times: z.array(z.strictObject({ code: z.enum(WORK_CODES), minutes: z.number().int().min(1).max(10_000) })).max(100),
});

/** What the workshop asks by now; null where it has no list. */
export const pricesSchema = z.object({ version: z.number(), list: priceListSchema.nullable() });
/** A list of prices and the version it was made from: somebody else may have changed it meanwhile. */
export const newPricesSchema = z.strictObject({ from: z.number().int().min(0), list: priceListSchema });
