import type { DashCode } from '../vehicle/specSheet';

/** What a dash shows, read by the vehicle's own table. */
export interface DashRead {
  /** In the order they stand in what was typed, each once. */
  readonly meant: readonly DashCode[];
  /** What the table does not know. */
  readonly unknown: string;
}

/**
 * Reads what a dash shows, codes run together or apart: `B13`, `b 1 3`, `A-2`. A longer code goes before a shorter one that
 * it begins with; large and small letters are the same.
 */
export function decodeDash(typed: string, table: readonly DashCode[]): DashRead {
  const bare = (text: string) => text.toUpperCase().replace(/[^\p{L}\p{N}]/gu, '');
  const known = table
    .map((code) => ({ code, text: bare(code.code) }))
    .filter(({ text }) => text !== '')
    .sort((a, b) => b.text.length - a.text.length);
  const meant: DashCode[] = [];
  let [rest, unknown] = [bare(typed), ''];
  while (rest !== '') {
    const found = known.find(({ text }) => rest.startsWith(text));
    if (found && !meant.includes(found.code)) meant.push(found.code);
    if (!found) unknown += rest.charAt(0);
    rest = rest.slice(found?.text.length ?? 1);
  }
  return { meant, unknown };
}
