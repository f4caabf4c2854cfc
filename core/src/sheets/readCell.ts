import { isDate } from 'date-fns/isDate';
import { isValid } from 'date-fns/isValid';
import { parse } from 'date-fns/parse';
import { parseMeasure } from '../units/parseMeasure';
import { UNITS, toStored, type Unit } from '../units/units';

/** What a cell of a table holds: text of a CSV file; a spreadsheet knows figures and moments too. */
export type SheetCell = string | number | boolean | Date | null;

export const DAY_ORDERS = ['dmy', 'mdy', 'ymd'] as const;
/** In which order a table writes day, month and year. */
export type DayOrder = (typeof DAY_ORDERS)[number];

/** How a table writes figures and days. */
export interface SheetStyle {
  readonly decimal: 'point' | 'comma';
  readonly days: DayOrder;
}

/** Text of a cell as a person reads it; empty for none. */
export function cellText(cell: SheetCell): string {
  if (cell === null) return '';
  if (isDate(cell)) return isValid(cell) ? cell.toISOString() : 'no date';
  return String(cell).trim();
}

/** A figure read from a cell, in the stored unit; or that there is none. */
export type FigureRead =
  | { readonly status: 'empty' }
  | { readonly status: 'unreadable' }
  | { readonly status: 'value'; readonly stored: number };

const GROUPS = {
  point: /^([+-]?)(\d{1,3}(?:[,\u2019' \u00a0\u202f]\d{3})+|\d+)?(\.\d*)?\s*(\D.*)?$/,
  comma: /^([+-]?)(\d{1,3}(?:[.\u2019' \u00a0\u202f]\d{3})+|\d+)?(,\d*)?\s*(\D.*)?$/,
} as const;

/**
 * Reads a figure as the table writes them: `1.234,5` with decimal commas is 1234.5, and no figure with points. A unit
 * behind it counts where it is of the same quantity.
 *
 * @param unit of a bare figure
 */
export function readFigure(cell: SheetCell, unit: Unit, { decimal }: Pick<SheetStyle, 'decimal'>): FigureRead {
  if (typeof cell === 'number') return valueOf(cell, unit);
  const text = cellText(cell).replace('−', '-');
  if (text === '') return { status: 'empty' };
  if (isDate(cell) || typeof cell === 'boolean') return { status: 'unreadable' };
  if (text.includes('/')) {
    const fraction = parseMeasure(text, unit);
    return fraction.status === 'value' ? { status: 'value', stored: fraction.stored } : { status: 'unreadable' };
  }
  const [, sign = '', whole = '', rest = '', suffix = ''] = GROUPS[decimal].exec(text) ?? [];
  if (whole === '' && rest.length < 2) return { status: 'unreadable' };
  const named = suffix === '' ? { status: 'value' as const, unit } : parseMeasure(`1 ${suffix}`, unit);
  if (named.status !== 'value') return { status: 'unreadable' };
  return valueOf(Number(`${sign}${whole.replace(/\D/g, '') || '0'}.${rest.slice(1) || '0'}`), named.unit);
}

function valueOf(figure: number, unit: Unit): FigureRead {
  const stored = toStored(figure, unit);
  return Number.isFinite(stored) ? { status: 'value', stored } : { status: 'unreadable' };
}

/** A day read from a cell, as an instant; or why there is none. */
export type DayRead =
  | { readonly status: 'empty' }
  /** `otherwise`: it would be a day in another order. */
  | { readonly status: 'unreadable'; readonly otherwise: DayOrder | null }
  | { readonly status: 'day'; readonly at: string };

const WRITTEN: Readonly<Record<DayOrder, readonly string[]>> = {
  dmy: ['d/M/yyyy', 'd/M/yy', 'd/MMM/yyyy', 'd/MMM/yy', 'd/MMMM/yyyy'],
  mdy: ['M/d/yyyy', 'M/d/yy', 'MMM/d/yyyy', 'MMM/d/yy', 'MMMM/d/yyyy'],
  ymd: ['yyyy/M/d', 'yyyy/MMM/d', 'yy/M/d'],
};
const TIMES = ['', ' H:mm', ' H:mm:ss', ' h:mm a', ' h:mm:ss a'];
/** Days since 30 December 1899 that spreadsheets write for 1954 to 2119; the time is the part behind the point. */
const SERIAL = { least: 20_000, most: 80_000, dayZero: Date.UTC(1899, 11, 30) } as const;
const DAY_MS = 86_400_000;
/** A day without an hour: noon UTC is the same day nearly everywhere. */
const NOON_MS = DAY_MS / 2;

/** A table names the same few days again and again. */
const KNOWN = new Map<string, DayRead>();
const MOST_KNOWN = 10_000;

/** Reads a day as the table writes them: with or without a time, ISO 8601 in any table, or as a spreadsheet counts days. */
export function readDay(cell: SheetCell, days: DayOrder): DayRead {
  if (isDate(cell)) return isValid(cell) ? atOf(cell.getTime()) : { status: 'unreadable', otherwise: null };
  const text = cellText(cell);
  if (text === '') return { status: 'empty' };
  if (typeof cell === 'number' || /^\d{5}(\.\d+)?$/.test(text)) return ofSerial(Number(text));
  if (typeof cell === 'boolean') return { status: 'unreadable', otherwise: null };
  // What says its zone, or the year first in four digits, is no question of order.
  if (/^\d{4}-\d\d-\d\dT.*(Z|[+-]\d\d:?\d\d)$/.test(text)) {
    const moment = Date.parse(text);
    return Number.isNaN(moment) ? { status: 'unreadable', otherwise: null } : atOf(moment);
  }
  const key = `${days} ${text}`;
  const known = KNOWN.get(key) ?? writtenDay(text, days);
  if (KNOWN.size >= MOST_KNOWN) KNOWN.clear();
  KNOWN.set(key, known);
  return known;
}

function writtenDay(text: string, days: DayOrder): DayRead {
  const plain = plainDay(text);
  const order = /^\d{4}\D/.test(plain) ? 'ymd' : days;
  const moment = momentIn(plain, order);
  if (moment !== null) return { status: 'day', at: new Date(moment).toISOString() };
  return { status: 'unreadable', otherwise: DAY_ORDERS.find((other) => momentIn(plain, other) !== null) ?? null };
}

const plainDay = (text: string) =>
  text
    .replace(/T(?=\d\d:)/, ' ')
    .replace(/^(\w+)[.,]?([ \-/.])\s*(\w+)[.,]?[ \-/.]\s*(\w+)/, '$1/$3/$4')
    .replace(/\s+/g, ' ')
    .trim();

/** Two digits of a year are those nearest to this. */
const CENTURY = Date.UTC(2025, 0, 1);

function momentIn(text: string, order: DayOrder): number | null {
  for (const written of WRITTEN[order])
    for (const time of TIMES) {
      const moment = parse(`${text} +00:00`, `${written}${time} xxx`, CENTURY).getTime();
      // Four digits of a year are not two.
      if (Number.isNaN(moment) || moment < Date.UTC(1900, 0, 1)) continue;
      return time === '' ? moment + NOON_MS : moment;
    }
  return null;
}

function ofSerial(serial: number): DayRead {
  if (!(serial >= SERIAL.least && serial < SERIAL.most)) return { status: 'unreadable', otherwise: null };
  return atOf(SERIAL.dayZero + Math.round(serial * DAY_MS));
}

/** A moment at midnight is a day without an hour. */
const atOf = (moment: number): DayRead => ({
  status: 'day',
  at: new Date(moment % DAY_MS === 0 ? moment + NOON_MS : moment).toISOString(),
});

/** Units whose quantity a unit is of. */
export const unitsLike = (unit: Unit): Unit[] =>
  (Object.keys(UNITS) as Unit[]).filter((other) => UNITS[other].quantity === UNITS[unit].quantity);
