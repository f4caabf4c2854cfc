import { z } from 'zod';
import { BOMS, DECIMAL_MARKS, SEPARATORS, TABLE_FORMATS, TABLE_UNITS, type TableStyle } from './tableNames';

/** How a table is asked for; what is left out is as most programs read it. */
export const tableStyleSchema: z.ZodType<TableStyle> = z.strictObject({
  format: z.enum(TABLE_FORMATS).default('csv'),
  units: z.enum(TABLE_UNITS).default('stored'),
  separator: z.enum(SEPARATORS).default('comma'),
  decimal: z.enum(DECIMAL_MARKS).default('point'),
  bom: z.enum(BOMS).default('no'),
});
