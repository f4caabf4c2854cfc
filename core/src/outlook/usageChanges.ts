import { fuelUse } from '../calculators/fuelUse';
import { entriesOf, standingEntries, type LifeEntry } from '../parts/lifeEntry';
import { findLevelChange, type LevelChange, type UsePoint } from '../wear/levelChange';

const DAY_MS = 86_400_000;
/** Surer than not by far, and so much of a change that it is worth a word. */
const TOLD_SURENESS = 0.9;
const TOLD_FACTOR = 1.05;

/** Fuel or oil that is used at another rate than before. */
export interface UsageChange {
  readonly kind: 'use';
  readonly what: 'fuel' | 'oil';
  readonly factor: number;
  readonly since: string;
  readonly sureness: number;
}

/** Uses that changed for good, by what was filled and topped up. Kilometres only: hours of a machine are no measure of its work. */
export function usageChanges(entries: readonly LifeEntry[]): UsageChange[] {
  const standing = standingEntries(entries);
  const metered = <T extends { readonly meter: number | null; readonly at: string; readonly litres: number }>(
    all: readonly T[],
  ) => all.flatMap((one) => (one.meter === null ? [] : [{ ...one, km: one.meter, day: Date.parse(one.at) / DAY_MS }]));
  const fills = metered(entriesOf(standing, 'fuel'));
  const dayAt = new Map(fills.map(({ km, day }) => [km, day]));
  const fuel = fuelUse(fills).flatMap(({ fromKm, toKm, litresPer100Km }): UsePoint[] => {
    const [from, to] = [dayAt.get(fromKm), dayAt.get(toKm)];
    return from === undefined || to === undefined || litresPer100Km <= 0
      ? []
      : [{ day: (from + to) / 2, log: Math.log(litresPer100Km) }];
  });
  const tops = metered(entriesOf(standing, 'top-up').filter(({ fluid }) => fluid === 'engine-oil')).sort(
    (a, b) => a.km - b.km,
  );
  const oil = tops.slice(1).flatMap((top, index): UsePoint[] => {
    const before = tops[index];
    return before && top.km > before.km
      ? [{ day: (before.day + top.day) / 2, log: Math.log(top.litres / (top.km - before.km)) }]
      : [];
  });
  return [...told('fuel', findLevelChange(fuel, true)), ...told('oil', findLevelChange(oil, false))];
}

function told(what: UsageChange['what'], change: LevelChange | null): UsageChange[] {
  if (!change || change.sureness < TOLD_SURENESS) return [];
  if (change.factor < TOLD_FACTOR && change.factor > 1 / TOLD_FACTOR) return [];
  const { factor, sureness } = change;
  return [{ kind: 'use', what, factor, sureness, since: new Date(change.sinceDay * DAY_MS).toISOString() }];
}
