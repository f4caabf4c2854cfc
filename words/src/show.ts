import {
  USUAL_HOUSE_RULES,
  cataloguePoint,
  fromStored,
  houseUnit,
  namedSteps,
  entryOf,
  isOwnCode,
  type HouseChoice,
  type HouseQuestion,
  type HouseRules,
  type Job,
  type LampSpot,
  type MakeUp,
  type MeasureCode,
  type MeterUnit,
  type PointCode,
  type Side,
  type Spot,
  type Unit,
} from '@weskopos/core';
import { common } from './en/pages/common';
import { told } from './tongue';

/** The workshop's ways of telling units and positions. One for the whole app, like the language; the root draws anew when it changes. */
let house: HouseRules = USUAL_HOUSE_RULES;
/** From here on figures and positions are told by these rules. */
export function speakByHouse(rules: HouseRules): void {
  house = rules;
}
/** Tells something by a house's rules, at once: nothing may be waited for in between. */
export function tellByHouse<T extends string | object>(rules: HouseRules, tell: () => T): T {
  const before = house;
  house = rules;
  try {
    return tell();
  } finally {
    house = before;
  }
}
/** The rules figures and positions are told by now. */
export function houseRules(): HouseRules {
  return house;
}

/** Decimals by unit, so that nothing finer than a gauge's step is shown. */
const DECIMALS: Partial<Record<Unit, number>> = {
  mm: 1,
  '/32in': 1,
  bar: 2,
  psi: 1,
  level: 2,
  '%': 0,
  V: 2,
  L: 2,
  'US qt': 2,
};
const FINER: Partial<Record<MeasureCode, number>> = { water: 1, 'disc-runout': 2 };

/** The unit a typed figure has when none is written. */
export function workshopUnit(measure: MeasureCode): Unit {
  return houseUnit(measure, house.units);
}

/** `202305` → `0523`; a code from before 2000 has no decade. */
function weekCode(yyyyww: number): string {
  const year = Math.floor(yyyyww / 100);
  return year < 2000
    ? told.said.beforeDecade
    : `${String(yyyyww % 100).padStart(2, '0')}${String(year % 100).padStart(2, '0')}`;
}

/** A stored value in the workshop's figures, without its unit: `3.0`. */
export function figure(measure: MeasureCode, stored: number): string {
  const steps = namedSteps(measure);
  if (steps) return told.namedStep[steps[Math.round(stored)] ?? '']?.toLowerCase() ?? '';
  if (measure === 'tyre-age') return weekCode(stored);
  return figureIn(workshopUnit(measure), stored, FINER[measure]);
}

/** A stored value in a unit: `2.30`. */
export function figureIn(unit: Unit, stored: number, places: number = DECIMALS[unit] ?? 0): string {
  return decimals(fromStored(stored, unit), places)
    .replace('-', '−')
    .replace(/^−(0([.,]0+)?)$/, '$1');
}

/** A number as the language writes it; with all its own places where none are asked for. */
export function decimals(value: number, places?: number): string {
  return (places === undefined ? String(value) : value.toFixed(places)).replace('.', told.said.decimalSign);
}

const UNIT_WORDS: Partial<Record<Unit, string>> = { level: '', step: '', yyyyww: '', '/32in': '/32 in' };

/** The unit a measure is shown in, as it is written. */
export function unitOf(measure: MeasureCode): string {
  const unit = workshopUnit(measure);
  return UNIT_WORDS[unit] ?? unit;
}

/** With its unit: `3.0 mm`. */
export function amount(measure: MeasureCode, stored: number): string {
  return `${figure(measure, stored)} ${unitOf(measure)}`.trim().replace(' /32', '/32');
}

/** What an empty field asks for. */
export function unitWord(measure: MeasureCode): string {
  if (measure === 'tyre-age') return 'e.g. 0523';
  return unitOf(measure) || 'of the marks';
}

/** A distance or hours on a meter, with thin spaces: `84 310 km`. */
export function meterWords(value: number, unit: MeterUnit): string {
  const shown = unit === 'km' ? fromStored(value, house.units.distance) : value;
  const digits = unit === 'h' ? 1 : 0;
  const text = shown
    .toLocaleString('en-GB', { maximumFractionDigits: digits })
    .replace(/,/g, '\u202f')
    .replace('.', told.said.decimalSign);
  return `${text} ${unit === 'km' ? house.units.distance : 'h'}`;
}

/** A distance said as roughly as it is known: `3 400 km`. */
export function roughMeter(value: number, unit: MeterUnit): string {
  const step = unit === 'h' ? 5 : value >= 10_000 ? 1000 : value >= 1000 ? 100 : 10;
  return meterWords(Math.round(value / step) * step, unit);
}

/** The unit a meter is read in. */
export function meterTypedUnit(unit: MeterUnit): Unit {
  return unit === 'km' ? house.units.distance : 'h';
}

/** How much of a date is said. */
export const DATE = {
  month: { month: 'short' },
  longMonth: { month: 'long' },
  year: { year: 'numeric' },
  dayAndMonth: { day: 'numeric', month: 'short' },
  monthAndYear: { month: 'short', year: 'numeric' },
  monthAndShortYear: { month: 'short', year: '2-digit' },
  weekday: { weekday: 'short', day: 'numeric', month: 'short' },
  longMonthAndYear: { month: 'long', year: 'numeric' },
  whole: { day: 'numeric', month: 'short', year: 'numeric' },
} as const satisfies Record<string, Intl.DateTimeFormatOptions>;

/** A date, or a part of it, as it is written here. */
export function dateWords(date: Date, part: keyof typeof DATE): string {
  return date.toLocaleDateString(told.said.locale, DATE[part]);
}

/** A date as it is written here: 3 Nov 2026. */
export function day(iso: string): string {
  return dateWords(new Date(iso), 'whole');
}

/** A day of this week or so: Thursday 26 November. */
export function longDay(iso: string): string {
  return new Date(iso).toLocaleDateString(told.said.locale, { weekday: 'long', day: 'numeric', month: 'long' });
}

/** A date with the time of day. */
export function dayAndTime(iso: string): string {
  return `${day(iso)}, ${new Date(iso).toLocaleTimeString(told.said.locale, { hour: '2-digit', minute: '2-digit' })}`;
}

/** What places are told by: how many axles there are, and where this vehicle's own driver sits, where the vehicle is at hand. */
export type Seats = number | { readonly axles: readonly unknown[]; readonly makeUp: Pick<MakeUp, 'driverSide'> };

/** Which of the two words of the house's school a vehicle side has: the kerb follows the traffic, the driver's side the vehicle. */
function nearOrOff(side: Side, seats: Seats): 'near' | 'off' {
  const kerb: Side = house.traffic === 'left' ? 'L' : 'R';
  const driver = typeof seats === 'number' ? null : seats.makeUp.driverSide;
  const near: Record<HouseChoice<'positionWords'>, Side> = {
    kerb,
    'left-right': 'L',
    driver: driver === null ? kerb : driver === 'L' ? 'R' : 'L',
  };
  return side === near[house.positionWords] ? 'near' : 'off';
}

const axleCount = (seats: Seats) => (typeof seats === 'number' ? seats : seats.axles.length);

/** What a house does where practitioners part ways: `always new`. */
export function houseSchool(rules: HouseRules, question: HouseQuestion): string {
  return entryOf<string>(told.school[question], rules[question]) ?? rules[question];
}

/** `1L` → `nearside front`; `2Ro` → `offside rear, outer`; `2` → `rear axle`. With more than two axles: `nearside axle 2`. */
export function placeWords(place: string, seats: Seats): string {
  const match = /^(\d)([LR])?([oi])?$/.exec(place);
  if (!match) return '';
  const [, number, side, twin] = match;
  const axle = number === '1' ? 'front' : Number(number) === axleCount(seats) ? 'rear' : Number(number);
  const called = side ? sideWords(side === 'L' ? 'L' : 'R', seats) : null;
  return told.said.place(axle, called, twin === 'o' || twin === 'i' ? twin : null);
}

/** Where a lamp is, as the house calls its sides. */
export const lampSpotWords = (spot: LampSpot): string =>
  placeWords(`${spot.startsWith('front') ? 1 : 2}${spot.endsWith('left') ? 'L' : 'R'}`, 2);

/** A side of a vehicle as the house calls it. */
export const sideWords = (side: Side, seats: Seats): string => told.side[house.positionWords][nearOrOff(side, seats)];

/** `1L` → `NSF`. */
export function placeInitials(place: string, seats: Seats): string {
  const match = /^(\d)([LR])?([oi])?$/.exec(place);
  if (!match) return place;
  const [, number, side, twin] = match;
  const axle = number === '1' ? 'F' : Number(number) === axleCount(seats) ? 'R' : (number ?? '');
  const initials = side ? told.sideInitial[house.positionWords][nearOrOff(side === 'L' ? 'L' : 'R', seats)] : '';
  return `${initials}${axle}${twin ?? ''}`;
}

/** A stop of the walk by its name: a station, or one wheel. */
export function stopWords(stop: string, seats: Seats): string {
  return told.stop[stop] ?? capital(placeWords(stop, seats));
}

/** The name of a point: the workshop's own name for one of its own. */
export function pointName(point: PointCode): string {
  if (!isOwnCode(point)) return told.point[point];
  return house.ownPoints[point]?.name ?? told.ownPoint(point.slice(point.lastIndexOf('.') + 1));
}

/** `Inner pad, nearside front`. */
export function pointWords(point: PointCode, place: string, seats: Seats, spot: Spot = 'whole'): string {
  const where = placeWords(place, seats);
  return [`${pointName(point)}${told.spot[spot] && ` ${told.spot[spot]}`}`, where].filter(Boolean).join(', ');
}

/** `Inner pad NSF`, for narrow lists. */
export function pointShort(point: PointCode, place: string, seats: Seats): string {
  return [told.narrowPoint[point] ?? pointName(point), cataloguePoint(point).repeats ? placeInitials(place, seats) : '']
    .filter(Boolean)
    .join(' ');
}

/** How long work takes: `45 min`, `2 h 40 min`. @param minutes whole minutes */
export function workTime(minutes: number): string {
  return common.workTime(Math.floor(minutes / 60), minutes % 60);
}

/** The name of a template: the workshop's own, or the built-in one's word. */
export function templateWords({ code, name }: { readonly code: string; readonly name: string }): string {
  return name || told.template[code] || code;
}

/** The same text with its first letter large. */
export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** A word of the dictionary as it stands within a sentence: small where the language writes it small. */
export function inSentence(word: string): string {
  return told.said.smallWithin ? word.toLowerCase() : word;
}

/** A job as the workshop calls it, else by its code. */
export function jobWords({ code, name }: Job): string {
  return name || (code === 'own' ? '' : told.job[code]);
}
