import type { PaperBlock, PaperLine, PaperRow } from './paper';

/** A line of text; an empty one is left out. */
export const line = (text: string, weight: PaperLine['weight'] = 'plain'): PaperLine => ({ text, weight });
/** Lines under a heading; nothing where none of them says anything. */
export const lines = (title: string | null, all: readonly PaperLine[]): PaperBlock[] => {
  const some = all.filter(({ text }) => text !== '');
  return some.length > 0 ? [{ kind: 'lines', title, lines: some }] : [];
};
/** Rows under a heading; nothing where there are none. */
export const rows = (title: string, level: 2 | 3, all: readonly PaperRow[]): PaperBlock[] =>
  all.length > 0 ? [{ kind: 'rows', title, level, rows: all }] : [];
