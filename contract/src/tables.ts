import { z } from 'zod';
import { BOMS, DECIMAL_MARKS, SEPARATORS, type CsvStyle } from './tableNames';

/** How a CSV file is asked for; what is left out is as most programs read it. */
export const csvStyleSchema: z.ZodType<CsvStyle> = z.strictObject({
  separator: z.enum(SEPARATORS).default('comma'),
  decimal: z.enum(DECIMAL_MARKS).default('point'),
  bom: z.enum(BOMS).default('no'),
});
