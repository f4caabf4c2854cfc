import { DAY_ORDERS, cellText, readDay, readFigure, type DayOrder, type SheetCell, type SheetStyle } from './readCell';

/** What a table's cells say of how it writes: and what of that they leave open. */
export interface GuessedStyle extends SheetStyle {
  /** Days could be read in another order too: to be asked. */
  readonly daysUnsure: boolean;
}

/**
 * Guesses decimal mark and order of days from cells of a table.
 *
 * @param separator between its columns, which no plain decimal mark is
 */
export function guessStyle(rows: readonly (readonly SheetCell[])[], separator: string | null): GuessedStyle {
  const texts = rows.flat().flatMap((cell) => (typeof cell === 'string' && cell.trim() !== '' ? [cell.trim()] : []));
  const orders = DAY_ORDERS.filter((order) => order !== 'ymd' || texts.some(isYearFirst));
  const parted = texts.filter((text) => /^\d{1,2}[ \-/.]\d{1,2}[ \-/.]\d{2,4}(\D|$)/.test(text));
  const reads = (order: DayOrder) => parted.filter((text) => readDay(text, order).status === 'day').length;
  const best = Math.max(...orders.map(reads));
  const fitting = orders.filter((order) => reads(order) === best);
  return {
    decimal: guessDecimal(texts, separator),
    // Where nothing else tells, the day comes first.
    days: fitting[0] ?? 'dmy',
    daysUnsure:
      parted.length > 0 &&
      fitting.filter((order) => order !== 'ymd').length > 1 &&
      // Day and month alike say nothing, and are the same either way.
      parted.some((text) => cellText(text).split(/\D/)[0] !== cellText(text).split(/\D/)[1]),
  };
}

const isYearFirst = (text: string) => /^\d{2,4}[/-]\d{1,2}[/-]\d{1,2}/.test(text);

function guessDecimal(texts: readonly string[], separator: string | null): SheetStyle['decimal'] {
  const figures = texts.filter((text) => /^[+\-−]?[\d.,'’ \u00a0\u202f]+\s*\D{0,4}$/.test(text) && /\d/.test(text));
  const readable = (decimal: SheetStyle['decimal']) =>
    figures.filter((text) => readFigure(text, 'step', { decimal }).status === 'value').length;
  const [point, comma] = [readable('point'), readable('comma')];
  if (point !== comma) return point > comma ? 'point' : 'comma';
  // A mark before one, two or four figures parts no thousands.
  const marks = (mark: string) =>
    figures.filter((text) => new RegExp(`\\${mark}(\\d{1,2}|\\d{4,})\\D*$`).test(text)).length;
  if (marks('.') !== marks(',')) return marks('.') > marks(',') ? 'point' : 'comma';
  return separator === ';' ? 'comma' : 'point';
}
