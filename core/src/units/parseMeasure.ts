import { toStored, UNITS, type Quantity, type Unit } from './units';

export type ParsedMeasure =
  { status: 'empty' } | { status: 'value'; stored: number; unit: Unit } | { status: 'unreadable'; typed: string };

/** Ways a hand writes a unit, longest first so that `mi` does not swallow `mm`. */
const SPELLINGS: readonly (readonly [string, Unit])[] = [
  ['kpa', 'kPa'],
  ['psi', 'psi'],
  ['bar', 'bar'],
  ['miles', 'mi'],
  ['mi', 'mi'],
  ['mm', 'mm'],
  ['km', 'km'],
  ['/32in', '/32in'],
  ['/32', '/32in'],
  ['%', '%'],
  ['°c', '°C'],
  ['°f', '°F'],
  ['c', '°C'],
  ['f', '°F'],
];

/**
 * Reads a typed value: a number with an optional unit, decimal point or comma.
 * Without a unit the value is in `usual`. A unit of another quantity is unreadable, never guessed.
 *
 * Examples: `('35psi', 'kPa')` → 241.3 kPa; `('2/32', 'mm')` → 1.5875 mm; `('5,5', 'mm')` → 5.5 mm.
 */
export function parseMeasure(typed: string, usual: Unit): ParsedMeasure {
  const text = typed.trim().toLowerCase();
  if (text === '') return { status: 'empty' };
  const match = /^([+\-−]?\d*[.,]?\d+|[+\-−]?\d+[.,]?)\s*(\D.*)?$/.exec(text);
  if (!match) return { status: 'unreadable', typed };
  const [, digits = '', suffix = ''] = match;
  const number = Number(digits.replace(',', '.').replace('−', '-'));
  const unit = suffix === '' ? usual : SPELLINGS.find(([spelling]) => spelling === suffix)?.[1];
  const wanted: Quantity = UNITS[usual].quantity;
  if (!Number.isFinite(number) || !unit || UNITS[unit].quantity !== wanted) {
    return { status: 'unreadable', typed };
  }
  return { status: 'value', stored: toStored(number, unit), unit };
}
