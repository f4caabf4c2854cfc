import { cataloguePoint, fromStored, type MeasureCode, type PointCode, type Spot, type Unit } from '@weskopos/core';
import { words } from './en';

const decimals: Record<MeasureCode, number> = { tread: 1, lining: 1, pressure: 0, level: 2, water: 1 };
const units: Record<MeasureCode, string> = { tread: 'mm', lining: 'mm', pressure: 'kPa', level: '', water: '%' };

/** A stored value in the workshop's figures, without its unit: `3.0`. */
export function figure(measure: MeasureCode, stored: number): string {
  return fromStored(stored, workshopUnit(measure)).toFixed(decimals[measure]).replace('-', '−');
}

/** With its unit: `3.0 mm`. */
export function amount(measure: MeasureCode, stored: number): string {
  return `${figure(measure, stored)}${units[measure] && ` ${units[measure]}`}`;
}

export function unitWord(measure: MeasureCode): string {
  return units[measure] || 'of the marks';
}

/** The unit a typed figure has when none is written. */
export function workshopUnit(measure: MeasureCode): Unit {
  return ({ tread: 'mm', lining: 'mm', pressure: 'kPa', level: 'level', water: '%' } as const)[measure];
}

/** `84 310 km`, with thin spaces. */
export function kilometres(km: number): string {
  return `${Math.round(km).toLocaleString('en-GB').replace(/,/g, '\u202f')} km`;
}

/** A distance said as roughly as it is known: `about 3,400 km`. */
export function roughKilometres(km: number): string {
  const step = km >= 10_000 ? 1000 : km >= 1000 ? 100 : 10;
  return kilometres(Math.round(km / step) * step);
}

export function day(iso: string): string {
  return new Date(iso).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
}

export function dayAndTime(iso: string): string {
  return `${day(iso)}, ${new Date(iso).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}`;
}

/** `1L` → `nearside front`; `2Ro` → `offside rear, outer`. With more than two axles: `nearside axle 2`. */
export function placeWords(place: string, axles: number): string {
  const match = /^(\d)([LR])([oi])?$/.exec(place);
  if (!match) return '';
  const [, number, side, twin] = match;
  const axle = number === '1' ? 'front' : Number(number) === axles ? 'rear' : `axle ${number}`;
  return `${words.side[side as 'L' | 'R']} ${axle}${twin ? (twin === 'o' ? ', outer' : ', inner') : ''}`;
}

/** `1L` → `NSF`. */
export function placeInitials(place: string, axles: number): string {
  const match = /^(\d)([LR])([oi])?$/.exec(place);
  if (!match) return place;
  const [, number, side, twin] = match;
  const axle = number === '1' ? 'F' : Number(number) === axles ? 'R' : number;
  return `${words.sideInitial[side as 'L' | 'R']}${axle}${twin ?? ''}`;
}

export function stopWords(stop: string, axles: number): string {
  return words.stop[stop] ?? capital(placeWords(stop, axles));
}

/** `Inner pad, nearside front`. */
export function pointWords(point: PointCode, place: string, axles: number, spot: Spot = 'whole'): string {
  const where = placeWords(place, axles);
  return [`${words.point[point]}${words.spot[spot] && ` ${words.spot[spot]}`}`, where].filter(Boolean).join(', ');
}

/** `Inner pad NSF`, for narrow lists. */
export function pointShort(point: PointCode, place: string, axles: number): string {
  return [words.point[point], cataloguePoint(point).repeats ? placeInitials(place, axles) : '']
    .filter(Boolean)
    .join(' ');
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
