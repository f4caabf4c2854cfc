import { entriesOf, standingEntries, type LifeEntry } from './lifeEntry';

/** Less than this tells nothing, km. */
const LEAST_KM = 500;

/**
 * Engine oil topped up per 1000 km since the last change, litres; restarted at every job that changes it.
 *
 * @returns null before there are two meters to tell it over, or under 500 km
 */
export function oilPer1000(entries: readonly LifeEntry[]): number | null {
  const standing = standingEntries(entries);
  const changed = entriesOf(standing, 'job').findLast(({ job, meter }) => job.code === 'engine-oil' && meter !== null);
  const topUps = entriesOf(standing, 'top-up').filter(
    ({ fluid, meter, at }) => fluid === 'engine-oil' && meter !== null && (!changed || at >= changed.at),
  );
  const from = changed?.meter ?? topUps[0]?.meter ?? null;
  const to = topUps.at(-1)?.meter ?? null;
  if (from === null || to === null || to - from < LEAST_KM) return null;
  // Without a change on record the first top-up filled what was used before anyone counted.
  const counted = changed ? topUps : topUps.slice(1);
  return (counted.reduce((sum, { litres }) => sum + litres, 0) / (to - from)) * 1000;
}
