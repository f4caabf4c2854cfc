import { parseMeasure, type ParsedMeasure } from '../units/parseMeasure';
import type { Unit } from '../units/units';

/** Several figures typed on one line, or what is wrong with them. */
export type ParsedLine =
  /** One for each place, or the one of the first place alone. */
  | { readonly status: 'values'; readonly stored: readonly number[] }
  /** What could not be read, or how many figures there were instead of `wanted`. */
  | { readonly status: 'unreadable'; readonly typed: string }
  | { readonly status: 'wrong-count'; readonly got: number; readonly wanted: number };

/**
 * Reads several figures on one line, outside first: `5 5.5 4` or `5/5.5/4` or `5; 5,5; 4`. Parted by blanks, or by
 * slashes or semicolons where there are any. One figure is one reading: alone on its line it is that of the first place,
 * and the others stay open.
 */
export function parseLine(typed: string, usual: Unit, wanted: number): ParsedLine {
  const text = typed.trim();
  const slashes = /^[\d.,]+(\/[\d.,]+)+$/.test(text) && text.split('/').length === wanted;
  const parts = text.split(text.includes(';') ? ';' : slashes ? '/' : /\s+/).map((part) => part.trim());
  const parsed = parts.map((part): ParsedMeasure => parseMeasure(part, usual));
  const bad = parsed.findIndex(({ status }) => status !== 'value');
  if (bad >= 0) return { status: 'unreadable', typed: parts[bad] ?? typed };
  const stored = parsed.flatMap((one) => (one.status === 'value' ? [one.stored] : []));
  if (stored.length === wanted) return { status: 'values', stored };
  if (stored.length === 1) return { status: 'values', stored };
  return { status: 'wrong-count', got: stored.length, wanted };
}
