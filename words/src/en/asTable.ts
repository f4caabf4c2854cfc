/** A table that is asked for keys it may not have. */
export const asTable = (table: Readonly<Record<string, string>>) => table;
