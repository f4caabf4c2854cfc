import { entriesOf, standingEntries, type LifeEntry } from './lifeEntry';

/** When the oil was changed, and at which meter. */
export interface OilChange {
  readonly at: string;
  readonly meter: number | null;
}

/** Less than this tells nothing, km. */
const LEAST_KM = 500;

/**
 * Engine oil topped up per 1000 km since the last change, litres.
 *
 * @param changed the last time it was changed, wherever that is told; undefined where nobody has
 * @returns null before there are two meters to tell it over, or under 500 km
 */
export function oilPer1000(entries: readonly LifeEntry[], changed?: OilChange): number | null {
  const standing = standingEntries(entries);
  const topUps = entriesOf(standing, 'top-up').filter(
    ({ fluid, meter, at }) =>
      fluid === 'engine-oil' && meter !== null && (!changed || Date.parse(at) >= Date.parse(changed.at)),
  );
  const from = changed?.meter ?? topUps[0]?.meter ?? null;
  const to = topUps.at(-1)?.meter ?? null;
  if (from === null || to === null || to - from < LEAST_KM) return null;
  // Without a change on a known meter the first top-up filled what was used before anyone counted.
  const counted = typeof changed?.meter === 'number' ? topUps : topUps.slice(1);
  return (counted.reduce((sum, { litres }) => sum + litres, 0) / (to - from)) * 1000;
}
