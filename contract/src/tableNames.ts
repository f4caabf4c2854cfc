/** Tables that are taken out as CSV, and how they may be written: all a device needs to ask for one. */

export const TABLES = [
  'vehicles',
  'visits',
  'findings',
  'readings',
  'readings-wide',
  'jobs',
  'log',
  'forecasts',
] as const;
/** A table by its name. */
export type TableName = (typeof TABLES)[number];

/** What stands between two columns. */
export const SEPARATORS = ['comma', 'semicolon', 'tab'] as const;
/** What stands before the decimals. */
export const DECIMAL_MARKS = ['point', 'comma'] as const;
/** Whether a byte order mark, by which some spreadsheets know UTF-8, comes first. */
export const BOMS = ['no', 'yes'] as const;

/** What a table is written as. */
export const TABLE_FORMATS = ['csv', 'xlsx'] as const;
/** In which units its figures are: those everything is stored in, or those the house reads. */
export const TABLE_UNITS = ['stored', 'house'] as const;

/** How a table is taken out. */
export interface TableStyle extends CsvStyle {
  readonly format: (typeof TABLE_FORMATS)[number];
  readonly units: (typeof TABLE_UNITS)[number];
}

/** How a CSV file is written: what a spreadsheet of another country reads. */
export interface CsvStyle {
  readonly separator: (typeof SEPARATORS)[number];
  readonly decimal: (typeof DECIMAL_MARKS)[number];
  readonly bom: (typeof BOMS)[number];
}

/** Append a table's name. */
export const TABLES_PATH = '/api/tables';
