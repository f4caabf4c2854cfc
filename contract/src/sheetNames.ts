/** Where tables that are brought in are sent; raw bytes of a CSV file or a spreadsheet, with the file's name in the query. */
export const SHEETS_PATH = '/api/sheets';

/** Encodings a text file may be in. */
export const ENCODINGS = ['utf-8', 'utf-16le', 'utf-16be', 'windows-1252', 'windows-1250', 'windows-1251'] as const;
/** What stands between two columns of a text file that comes in. */
export const SHEET_SEPARATORS = ['comma', 'semicolon', 'tab', 'pipe'] as const;

/** What is wrong with a file before its rows are looked at, as a code that words hang on. */
export const SHEET_PROBLEMS = [
  'sheet-too-large',
  'sheet-empty',
  'sheet-unreadable',
  'sheet-too-wide',
  'sheet-too-long',
  'sheet-no-columns',
] as const;
export type SheetProblem = (typeof SHEET_PROBLEMS)[number];
