import { MEASURES } from '../catalogue/measures';
import { UNITS, type Unit } from '../units/units';
import { parseMeasure } from '../units/parseMeasure';
import type { PlaceGiven } from './placeWords';
import { readingSaid } from './pointWords';
import { plainWords } from './rowReader';
import { readFigure, type SheetCell, type SheetStyle } from './readCell';
import { NO_COLUMN, SHEET_KINDS, fieldsOf, type SheetColumn, type SheetField, type SheetKind } from './sheetKinds';

/** A guess at what a table is of and what its columns say. */
export interface GuessedColumns {
  readonly kind: SheetKind;
  readonly columns: readonly SheetColumn[];
}

/** Every heading of a kind's fields as plain words, the field's own name first. */
const NAMES = new Map(
  SHEET_KINDS.map((kind) => [
    kind,
    new Map(
      Object.entries(fieldsOf(kind))
        .flatMap(([field, { spelt }]) => [
          [plainWords(field), field] as const,
          ...spelt.map((name) => [name, field] as const),
        ])
        // The first that claims a heading has it.
        .reverse() as [string, SheetField][],
    ),
  ]),
);

/** The kind whose columns are known best, and the guess for it. */
export function guessKind(
  headings: readonly string[],
  rows: readonly (readonly SheetCell[])[],
  style: SheetStyle,
  given: PlaceGiven,
): GuessedColumns {
  const guesses = SHEET_KINDS.map((kind) => ({ kind, columns: guessColumns(kind, headings, rows, style, given) }));
  const told = (columns: readonly SheetColumn[]) =>
    new Set(columns.map(({ field }) => field).filter((field) => field !== null));
  const worth = ({ kind, columns }: GuessedColumns) => {
    const fields = told(columns);
    const readings = columns.filter(({ field }) => field === 'reading').length;
    const needed = Object.entries(fieldsOf(kind)).filter(([, { needed }]) => needed);
    const has = needed.filter(([field]) => fields.has(field as SheetField)).length;
    // What only this kind tells weighs most: `job`, `litres`, `point`.
    const own = [...fields].filter((field) => OWN[kind].includes(field)).length;
    return has / Math.max(1, needed.length) + own + readings + fields.size / 100;
  };
  const [first, ...rest] = guesses;
  return rest.reduce((best, one) => (worth(one) > worth(best) ? one : best), first as GuessedColumns);
}

/** What tells a kind from the others. */
const OWN: Readonly<Record<SheetKind, readonly (SheetField | 'reading')[]>> = {
  readings: ['point', 'value', 'spot', 'measure'],
  log: ['litres', 'full', 'fluid', 'price'],
  jobs: ['job', 'numbers', 'paper'],
  parts: ['what', 'fresh'],
  vehicles: ['year', 'class', 'vin', 'axles', 'tyreSize', 'power', 'gearbox'],
};

/** What each column of a table says, by its heading and its first rows; what cannot be told is left out. */
export function guessColumns(
  kind: SheetKind,
  headings: readonly string[],
  rows: readonly (readonly SheetCell[])[],
  style: SheetStyle,
  given: PlaceGiven,
): SheetColumn[] {
  const taken = new Set<SheetField>();
  const names = NAMES.get(kind);
  const fields = fieldsOf(kind);
  const columnOf = (field: SheetField, heading: string, index: number): SheetColumn => {
    taken.add(field);
    const usual = fields[field]?.unit;
    return {
      field,
      at: null,
      unit: usual === undefined ? null : unitOf(heading, usual, figuresIn(rows, index, style)),
    };
  };
  const own = new Map(Object.keys(fields).map((field) => [plainWords(field), field as SheetField]));
  // An id names a vehicle in one workshop only, a fleet code in any.
  const isId = (heading: string) =>
    bare(heading) === 'vehicle' && headings.some((other) => bare(other) === 'fleet code') && 'vehicle' in fields;
  // A field's own name goes before what it is also called.
  const first = headings.map((heading, index) => {
    const field = own.get(bare(heading));
    return field && !isId(heading) && !taken.has(field) ? columnOf(field, heading, index) : null;
  });
  return headings.map((heading, index): SheetColumn => {
    const found = first[index];
    if (found) return found;
    const at = kind === 'readings' ? readingSaid(heading, given) : null;
    if (at)
      return { field: 'reading', at, unit: unitOf(heading, MEASURES[at.measure].unit, figuresIn(rows, index, style)) };
    const field = names?.get(bare(heading)) ?? names?.get(plainWords(heading));
    return field && !isId(heading) && !taken.has(field) ? columnOf(field, heading, index) : NO_COLUMN;
  });
}

/** A heading without its unit. */
const bare = (heading: string) =>
  plainWords(heading.replace(/[([].*?[)\]]/g, ' '))
    .replace(/ (km|mi|mm|bar|psi|kpa|l|in|nm)$/, '')
    .trim();

function figuresIn(rows: readonly (readonly SheetCell[])[], index: number, style: SheetStyle): number[] {
  return rows.flatMap((row) => {
    const read = readFigure(row[index] ?? null, 'step', style);
    return read.status === 'value' ? [read.stored] : [];
  });
}

/**
 * The unit of bare figures under a heading: what it says, `(psi)` or `mileage`; for a pressure what its figures look
 * like. Null for the usual one.
 */
function unitOf(heading: string, usual: Unit, figures: readonly number[]): Unit | null {
  const { quantity } = UNITS[usual];
  const words = [/[([]([^)\]]*)[)\]]/.exec(heading)?.[1] ?? '', ...heading.split(/[\s_]+/).slice(-1)];
  for (const word of words) {
    const told = parseMeasure(`1 ${word.trim().replace(/^32nds?$/i, '/32in')}`, usual);
    if (word.trim() !== '' && told.status === 'value') return told.unit === usual ? null : told.unit;
  }
  if (quantity === 'distance' && /mile/i.test(heading)) return 'mi';
  if (quantity !== 'pressure' || figures.length === 0) return null;
  const middle = [...figures].sort((a, b) => a - b)[Math.floor(figures.length / 2)] ?? 0;
  return middle < 15 ? 'bar' : middle < 80 ? 'psi' : null;
}
