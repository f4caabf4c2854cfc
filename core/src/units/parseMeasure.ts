import { toStored, UNITS, type Quantity, type Unit } from './units';

/** A typed value in the stored unit, or why there is none. */
export type ParsedMeasure =
  { status: 'empty' } | { status: 'value'; stored: number; unit: Unit } | { status: 'unreadable'; typed: string };

/** Ways a hand writes a unit; the whole suffix must match, so order does not matter. */
const SPELLINGS: Readonly<Record<string, Unit>> = {
  kpa: 'kPa',
  psi: 'psi',
  bar: 'bar',
  miles: 'mi',
  mi: 'mi',
  mm: 'mm',
  km: 'km',
  '/32in': '/32in',
  '/32 in': '/32in',
  '/32': '/32in',
  in: 'in',
  '"': 'in',
  '%': '%',
  '°c': '°C',
  '°f': '°F',
  c: '°C',
  f: '°F',
  l: 'L',
  litre: 'L',
  litres: 'L',
  ml: 'ml',
  qt: 'US qt',
  'us qt': 'US qt',
  gal: 'US gal',
  'us gal': 'US gal',
  'imp gal': 'imp gal',
  nm: 'N·m',
  'n·m': 'N·m',
  'lb·ft': 'lb·ft',
  'lb ft': 'lb·ft',
  lbft: 'lb·ft',
  'ft lb': 'lb·ft',
  'lb-ft': 'lb·ft',
  v: 'V',
  a: 'A',
  '°': '°',
  deg: '°',
  s: 's',
  sec: 's',
  min: 'min',
  h: 'h',
  months: 'months',
  mo: 'months',
  clicks: 'clicks',
  '/min': '/min',
};

const DECIMAL = /^([+\-−]?\d*[.,]?\d+|[+\-−]?\d+[.,]?|[1-9]\d{0,2}(?:[.,]\d{3})+)\s*(\D.*)?$/;
/** Nobody reads a thousandth of these: a point or comma before three figures parts thousands. */
const WHOLE: readonly Unit[] = ['km', 'mi', 'kPa', 'h'];
const GROUPED = /^[1-9]\d{0,2}(?:[.,]\d{3})+$/;
/** `2/32`, `1/2 qt`, `1 1/2 qt`; a fraction of 32nds is told by its denominator. */
const FRACTION = /^(?:(\d+)\s+)?(\d+)\/(\d+)\s*(\D.*)?$/;

/** A space between thousands, as figures are shown; before a fraction it means something else. */
const THOUSANDS = /(\d)[\u202f\u00a0 ](?=\d{3}(?![\d/]))/g;

/**
 * Reads a typed value: a number or a fraction with an optional unit, decimal point or comma.
 * Without a unit the value is in `usual`; where that is a length, a fraction over 32 is inches. A unit of another
 * quantity is unreadable, never guessed.
 *
 * Examples: `('35psi', 'kPa')` → 241.3 kPa; `('84,312', 'km')` → 84,312 km; `('2/32', 'mm')` → 1.5875 mm; `('5,5', 'mm')` → 5.5 mm; `('1/2 qt', 'L')` → 0.473 L.
 */
export function parseMeasure(typed: string, usual: Unit): ParsedMeasure {
  const text = typed.trim().toLowerCase().replace(THOUSANDS, '$1');
  if (text === '') return { status: 'empty' };
  const unreadable: ParsedMeasure = { status: 'unreadable', typed };
  const wanted: Quantity = UNITS[usual].quantity;
  const fraction = FRACTION.exec(text);
  const decimal = DECIMAL.exec(text);
  const suffix = (fraction ? fraction[4] : decimal?.[2])?.trim() ?? '';
  const inches = fraction !== null && wanted === 'length' && suffix === '' && fraction[3] === '32';
  const unit = inches ? 'in' : suffix === '' ? usual : Object.hasOwn(SPELLINGS, suffix) ? SPELLINGS[suffix] : undefined;
  if (!unit) return unreadable;
  const number = fraction ? fractionValue(fraction) : decimal ? decimalValue(decimal[1] ?? '', unit) : NaN;
  if (!Number.isFinite(number) || UNITS[unit].quantity !== wanted) return unreadable;
  const stored = toStored(number, unit);
  return { status: 'value', stored, unit: inches ? '/32in' : unit };
}

function decimalValue(text: string, unit: Unit): number {
  if (WHOLE.includes(unit) && GROUPED.test(text)) return Number(text.replace(/[.,]/g, ''));
  return Number(text.replace(',', '.').replace('−', '-'));
}

function fractionValue([, whole = '0', top = '', bottom = '']: RegExpExecArray): number {
  return Number(whole) + Number(top) / Number(bottom);
}

/** A week code read off a tyre, as year and week; or that it is none. */
export type ParsedWeek =
  | { readonly status: 'week'; readonly yyyyww: number; readonly before2000: boolean }
  | { readonly status: 'unreadable' };

/**
 * Reads the week code moulded into a tyre: four digits are week and year since 2000 (`0523` → week 5 of 2023),
 * three mean before 2000 and tell no decade: the last week of 1999 is given as the latest it can be.
 */
export function parseWeekCode(typed: string): ParsedWeek {
  const text = typed.trim().replace(/^(\d\d)[ /](\d\d)$/, '$1$2');
  const week = Number(text.slice(0, 2));
  if (!/^\d{3,4}$/.test(text) || week < 1 || week > 53) return { status: 'unreadable' };
  if (text.length === 3) return { status: 'week', yyyyww: 199952, before2000: true };
  if (week > weeksIn(2000 + Number(text.slice(2)))) return { status: 'unreadable' };
  return { status: 'week', yyyyww: (2000 + Number(text.slice(2))) * 100 + week, before2000: false };
}

/** Weeks of an ISO 8601 year: 53 where 31 December or 1 January is a Thursday. */
function weeksIn(year: number): number {
  const isThursday = (month: number, day: number) => new Date(Date.UTC(year, month, day)).getUTCDay() === 4;
  return isThursday(0, 1) || isThursday(11, 31) ? 53 : 52;
}
