import type { Column } from '@weskopos/contract';

/** Who made an entry: a column beside the record's own. */
export const MADE_BY: Column = { column: 'made_by', type: 'uuid' };
