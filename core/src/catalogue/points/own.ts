import { stationPoints, type Station } from './point';

/** Where a workshop can add points of its own. */
export const OWN_STATIONS = [
  'cabin',
  'walk',
  'bonnet',
  'wheel',
  'under',
  'plant',
  'closing',
] as const satisfies readonly Station[];
/** A station that takes points of the workshop's own. */
export type OwnStation = (typeof OWN_STATIONS)[number];
const NUMBERS = ['1', '2', '3', '4', '5', '6', '7', '8'] as const;

/**
 * Points kept free for the workshop at one station: it gives each its name once, and decides by its templates where they
 * are looked at. Judged by eye and hand.
 */
export function ownPoints<const S extends OwnStation>(station: S) {
  const point = stationPoints(station);
  return NUMBERS.map((number) =>
    point(`own.${station}.${number}` as const, 'equipment', {
      vocabulary: 'general',
      own: true,
      repeats: station === 'wheel' ? 'hub' : null,
    }),
  );
}
