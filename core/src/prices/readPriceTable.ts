import type { WorkCode } from '../parts/work';
import type { PricedPart, UsualTime } from './priceList';
import { decimalOf, readPrice, type DecimalSign } from './readPrice';

/** What a column of a price table holds. */
export type PriceColumn = 'number' | 'name' | 'price' | 'minutes' | 'hours';

/** Why a row is not taken. */
export type PriceRowProblem =
  'no-name' | 'no-figure' | 'unreadable' | 'negative' | 'doubtful' | 'twice' | 'too-large' | 'no-such-work';

/** A table of parts and times as it was read. */
export interface PriceTableRead {
  readonly parts: readonly PricedPart[];
  readonly times: readonly UsualTime[];
  /** Rows that are not taken, counted as a spreadsheet counts them. */
  readonly problems: readonly { readonly row: number; readonly problem: PriceRowProblem; readonly text: string }[];
  /** What no column was recognised for. */
  readonly missing: readonly PriceColumn[];
}

const HEADINGS: Readonly<Record<PriceColumn, RegExp>> = {
  number: /^(part )?(no\.?|number|nr\.?|article|code|teilenummer|artikel(nummer)?)$/i,
  name: /^(name|part|what|description|work|bezeichnung|teil|arbeit)$/i,
  price: /^(price|net( price)?|each|unit price|preis|netto|einzelpreis)\b/i,
  minutes: /^(min\.?|minutes|minuten)$/i,
  hours: /^(h|hours|time|stunden)$/i,
};
const MOST_PRICE = 1_000_000;
const MOST_MINUTES = 10_000;

/**
 * Reads a table with a heading: a row with a price is a part, one with minutes or hours is how long a work takes.
 *
 * @param decimal how figures are written; guessed from the column where it is not said
 * @param workOf the work a row's name means; null for none
 */
export function readPriceTable(
  rows: readonly (readonly string[])[],
  decimal: DecimalSign | null,
  workOf: (name: string) => WorkCode | null,
): PriceTableRead {
  const [head = [], ...body] = rows;
  const at = (column: PriceColumn) => head.findIndex((one) => HEADINGS[column].test(one.trim()));
  const columns = {
    number: at('number'),
    name: at('name'),
    price: at('price'),
    minutes: at('minutes'),
    hours: at('hours'),
  };
  const cell = (row: readonly string[], column: PriceColumn) => (row[columns[column]] ?? '').trim();
  const figures = (column: PriceColumn) => body.map((row) => cell(row, column)).filter(Boolean);
  const sign = decimal ?? decimalOf([...figures('price'), ...figures('hours')]);
  const parts: PricedPart[] = [];
  const times: UsualTime[] = [];
  const problems: { row: number; problem: PriceRowProblem; text: string }[] = [];
  const seen = new Set<string>();
  body.forEach((row, index) => {
    if (row.every((one) => one.trim() === '')) return;
    const [number, name] = [cell(row, 'number'), cell(row, 'name')];
    const refuse = (problem: PriceRowProblem, text: string) => void problems.push({ row: index + 2, problem, text });
    if (name === '' && number === '') return refuse('no-name', row.join(' '));
    const priced = cell(row, 'price');
    const time = cell(row, 'minutes') || cell(row, 'hours');
    if (priced === '' && time === '') return refuse('no-figure', name || number);
    const key = `${priced === '' ? 'work' : 'part'} ${(number || name).toLowerCase()}`;
    if (seen.has(key)) return refuse('twice', number || name);
    seen.add(key);
    const read = readPrice(priced || time, sign);
    if (read.status === 'doubtful' || read.status === 'negative') return refuse(read.status, priced || time);
    if (read.status !== 'price') return refuse('unreadable', priced || time);
    if (priced !== '') {
      if (read.price > MOST_PRICE) return refuse('too-large', priced);
      parts.push({ number: number.slice(0, 60), name: (name || number).slice(0, 120), price: read.price });
      return;
    }
    const minutes = Math.round(read.price * (cell(row, 'minutes') === '' ? 60 : 1));
    const code = workOf(name || number);
    if (code === null) return refuse('no-such-work', name || number);
    if (minutes < 1 || minutes > MOST_MINUTES) return refuse('too-large', time);
    times.push({ code, minutes });
  });
  const missing: PriceColumn[] = [
    ...(columns.name < 0 && columns.number < 0 ? ['name' as const] : []),
    ...(columns.price < 0 && columns.minutes < 0 && columns.hours < 0 ? ['price' as const] : []),
  ];
  return { parts, times, problems, missing };
}
