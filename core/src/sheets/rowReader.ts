import { entryOf } from '../sums/keyed';
import type { Unit } from '../units/units';
import { UNITS, fromStored } from '../units/units';
import { fieldsOf, type SheetColumn, type SheetField, type SheetKind } from './sheetKinds';
import { cellText, readDay, readFigure, type SheetCell, type SheetStyle } from './readCell';

/** What can be wrong with a row, or odd about it, as a code that words hang on. */
export const SHEET_FAULTS = [
  'missing',
  'unreadable',
  'swapped-day',
  'out-of-range',
  'other-unit',
  'future',
  'unknown-vehicle',
  'two-vehicles',
  'unknown',
  'no-place',
  'too-long',
  'other-meter',
  'code-taken',
] as const;
/** Odd, asked once: kept or left out. */
export const SHEET_DOUBTS = [
  'unit-slip',
  'unlikely',
  'far-from-partner',
  'far-from-next',
  'not-made-yet',
  'behind',
  'too-far',
  'here-otherwise',
  'read-twice',
  'before-built',
] as const;
export type SheetFaultCode = (typeof SHEET_FAULTS)[number];
export type SheetDoubtCode = (typeof SHEET_DOUBTS)[number];

/** Something wrong with a row or odd about it: where, what was written there, and what may stand there. */
export interface Told<Code> {
  readonly field: SheetField;
  readonly code: Code;
  readonly written: string;
  readonly allowed: string;
}
export type SheetFault = Told<SheetFaultCode>;
export type SheetDoubt = Told<SheetDoubtCode>;

/** How a table is read: of what, how it writes, and what its columns say. */
export interface SheetReading {
  readonly kind: SheetKind;
  readonly style: SheetStyle;
  readonly columns: readonly SheetColumn[];
  /** What every row says of a field no column has. */
  readonly fixed: Readonly<Partial<Record<SheetField, string>>>;
}

/** What no database keeps as text. */
const UNKEEPABLE = /[\u0000\p{Surrogate}]/u;
/** Earliest day a vehicle's history may name. */
const EARLIEST = '1950-01-01';

/** Reads the cells of one row field by field and gathers what is wrong with them. */
export class RowReader {
  readonly faults: SheetFault[] = [];

  constructor(
    private readonly cells: readonly SheetCell[],
    private readonly reading: SheetReading,
  ) {}

  /** What a field says: its column's cell, or what was said for every row; null where neither does. */
  cell(field: SheetField): SheetCell {
    const at = this.reading.columns.findIndex((column) => column.field === field);
    const cell = at < 0 ? null : (this.cells[at] ?? null);
    return cellText(cell) === '' ? (this.reading.fixed[field] ?? null) : cell;
  }

  written(field: SheetField): string {
    return cellText(this.cell(field));
  }

  /** Text of at most so many letters; empty where there is none. */
  text(field: SheetField, most: number): string {
    const text = this.written(field);
    if (text === '' && this.isNeeded(field)) this.wrong(field, 'missing', 'something');
    else if (text.length > most) this.wrong(field, 'too-long', `at most ${most} letters`);
    else if (UNKEEPABLE.test(text)) this.wrong(field, 'unreadable', 'text without NUL or broken letters');
    return text;
  }

  /** A moment; null where there is none, or none that can be. @param now nothing is told before it happened */
  day(field: SheetField, now: string): string | null {
    const read = readDay(this.cell(field), this.reading.style.days);
    const allowed = `a day from ${EARLIEST} to ${now.slice(0, 10)}`;
    if (read.status === 'empty') this.wrong(field, 'missing', allowed);
    else if (read.status === 'unreadable') this.wrong(field, read.otherwise ? 'swapped-day' : 'unreadable', allowed);
    else if (read.at.slice(0, 10) > now.slice(0, 10)) this.wrong(field, 'future', allowed);
    else if (read.at < EARLIEST) this.wrong(field, 'out-of-range', allowed);
    // Today's noon may not have come yet.
    else return read.at > now ? now : read.at;
    return null;
  }

  /** A figure within a range, stored unit; null where there is none, or none that can be. */
  figure(field: SheetField, usual: Unit, range: { readonly least: number; readonly most: number }): number | null {
    const column = this.reading.columns.find((one) => one.field === field);
    return this.figureIn(field, this.cell(field), column?.unit ?? null, usual, range);
  }

  /** As {@link figure}, of a cell that was found otherwise. */
  figureIn(
    field: SheetField,
    cell: SheetCell,
    given: Unit | null,
    usual: Unit,
    { least, most }: { readonly least: number; readonly most: number },
  ): number | null {
    const unit = given ?? usual;
    const shown = (stored: number) => Number(fromStored(stored, unit).toPrecision(6));
    const allowed = `${shown(least)} to ${shown(most)} ${unit}`;
    if (UNITS[unit].quantity !== UNITS[usual].quantity) {
      this.wrong(field, 'other-unit', `a figure in ${usual}`, cell);
      return null;
    }
    const read = readFigure(cell, unit, this.reading.style);
    if (read.status === 'empty') {
      if (this.isNeeded(field)) this.wrong(field, 'missing', allowed);
      return null;
    }
    if (read.status === 'unreadable') this.wrong(field, 'unreadable', allowed, cell);
    else if (!(read.stored >= least && read.stored <= most)) this.wrong(field, 'out-of-range', allowed, cell);
    else return read.stored;
    return null;
  }

  /** One of a list, by its code or as people spell it; null where there is none, or none of them. */
  choice<T extends string>(field: SheetField, of: readonly T[], spelt: Readonly<Record<string, T>> = {}): T | null {
    const written = this.written(field);
    if (written === '') {
      if (this.isNeeded(field)) this.wrong(field, 'missing', of.join(', '));
      return null;
    }
    const plain = plainWords(written);
    const found = of.find((one) => plainWords(one) === plain) ?? entryOf<T>(spelt, plain);
    if (found === undefined) this.wrong(field, 'unknown', of.join(', '));
    return found ?? null;
  }

  /** Yes or no; `silent` where it says nothing. */
  yesNo(field: SheetField, silent: boolean): boolean {
    const written = plainWords(this.written(field));
    if (written === '') return silent;
    if (['yes', 'y', 'true', '1', 'x', 'full', 'ja'].includes(written)) return true;
    if (['no', 'n', 'false', '0', 'part', 'nein'].includes(written)) return false;
    this.wrong(field, 'unknown', 'yes or no');
    return silent;
  }

  wrong(field: SheetField, code: SheetFaultCode, allowed: string, cell: SheetCell = this.cell(field)): void {
    this.faults.push({ field, code, written: cellText(cell), allowed });
  }

  private isNeeded = (field: SheetField): boolean => fieldsOf(this.reading.kind)[field]?.needed === true;
}

/** Letters and figures in small plain letters, parted by single blanks. */
export const plainWords = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()
    .replace(/[^\da-z]+/g, ' ')
    .trim();
