import { countedVisits, type Inspection } from '../inspection/inspection';
import type { MeterStand } from '../jobs/dueWhen';
import { standingEntries, type LifeEntry } from '../parts/lifeEntry';
import { daysBetween } from '../sums/daysBetween';
import { METER_STEP } from '../trends/partHistory';
import { usageFrom } from '../trends/usageOf';
import type { Vehicle } from '../vehicle/vehicle';
import { expectedUse, type FleetUsage } from '../wear/usageModel';

/**
 * What a vehicle's meter is taken to show now: the last reading of a visit or an entry, and what it has gone since at its
 * usual pace.
 *
 * @param now ISO 8601
 * @returns null before it was ever read
 */
export function meterStand(
  { meterUnit }: Pick<Vehicle, 'meterUnit'>,
  visits: readonly { readonly inspection: Inspection }[],
  entries: readonly LifeEntry[],
  fleet: FleetUsage,
  now: string,
): MeterStand | null {
  const moments = countedVisits(visits).map(({ inspection }) => inspection);
  const use = usageFrom(moments, entries, meterUnit, fleet);
  const last = [
    ...moments.map(({ startedAt, meter }) => ({ at: startedAt, meter })),
    ...standingEntries(entries).flatMap(({ at, meter, kind }) =>
      meter !== null && (kind === 'meter' || kind === 'fuel') ? [{ at, meter }] : [],
    ),
  ].reduce<{ at: string; meter: number } | null>((a, b) => (a === null || b.at >= a.at ? b : a), null);
  if (!use || !last) return null;
  const step = METER_STEP[meterUnit];
  const since = Math.max(0, daysBetween(last.at, now));
  return { meter: last.meter + step * expectedUse(use, since), perDay: step * use.perDay };
}
