import { pointKey, type PointCode } from '../catalogue/catalogue';
import { entryOf } from '../sums/keyed';
import type { Place } from '../vehicle/vehicle';
import type { GradedPoint } from './verdict';

/** Something of the last visit that was signed over while it lay open. */
export interface LeftOpen {
  readonly end: string;
  readonly place: Place;
}

/** Where it shows whether what lay open has been closed since; a leak check for whatever has no point of its own. */
const SHOWN_AT: Readonly<Record<string, PointCode>> = {
  wheel: 'close.bolts',
  tray: 'tray.fasteners',
  cover: 'cover.refit',
  'oil-fill': 'oil.level',
  'coolant-cap': 'coolant.level',
  'coolant-drain': 'coolant.level',
  'brake-cap': 'brake.fluid.level',
  'axle-fill-plug': 'axle.oil.level',
  'gearbox-fill-plug': 'gearbox.oil.level',
  'transfer-fill-plug': 'transfer.oil.level',
  'codes-cleared': 'cabin.codes',
  indicator: 'cabin.indicator',
  'battery-clamp': 'battery.terminals',
};
const AT_PLACE: readonly PointCode[] = ['close.bolts'];

/**
 * What a return visit looks at again: watched spots, advisories, fails, what was not seen or only carried, where it shows
 * what was left open, and what works were to put right. By key.
 */
export function watchedPoints(
  last: readonly GradedPoint[],
  leftOpen: readonly LeftOpen[] = [],
  works: readonly string[] = [],
): string[] {
  const watched = last
    .filter(
      ({ result }) =>
        result.watch || result.carried !== null || ['advisory', 'fail', 'not-seen'].includes(result.grade),
    )
    .map(({ key }) => key);
  const open = leftOpen.map(({ end, place }) => {
    const point = entryOf<PointCode>(SHOWN_AT, end) ?? 'close.leakcheck';
    return pointKey(point, AT_PLACE.includes(point) ? place : '');
  });
  return [...new Set([...watched, ...open, ...works])];
}
