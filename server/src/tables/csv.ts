import type { CsvStyle } from '@weskopos/contract';
import Papa from 'papaparse';

/** What a cell holds; an empty one for null. */
export type Cell = string | number | boolean | null;

const SIGNS: Readonly<Record<CsvStyle['separator'], string>> = { comma: ',', semicolon: ';', tab: '\t' };
export const PLAIN_STYLE: CsvStyle = { separator: 'comma', decimal: 'point', bom: 'no' };

/**
 * What a spreadsheet would run as a formula gets an apostrophe before it. A figure with its sign is none, whichever
 * decimal mark it has.
 */
const FORMULA = /^(?![-+]?\d+(?:[.,]\d+)?$)[=+\-@\t\r\n|]/;

/** Rows as CSV (RFC 4180), each with its end; nothing for none. */
export function csvOf(rows: readonly (readonly Cell[])[], { separator, decimal }: CsvStyle = PLAIN_STYLE): string {
  if (rows.length === 0) return '';
  const written = rows.map((row) =>
    row.map((cell) =>
      typeof cell === 'number' && decimal === 'comma' ? String(cell).replace('.', ',') : (cell ?? ''),
    ),
  );
  return `${Papa.unparse(written, { delimiter: SIGNS[separator], escapeFormulae: FORMULA, newline: '\r\n' })}\r\n`;
}
