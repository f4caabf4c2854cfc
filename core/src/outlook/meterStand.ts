import { countedVisits, type Inspection } from '../inspection/inspection';
import type { MeterStand } from '../jobs/dueWhen';
import { standingEntries, type LifeEntry } from '../parts/lifeEntry';
import { daysBetween } from '../sums/daysBetween';
import { METER_STEP } from '../trends/partHistory';
import { meterPoints, usageBy, usePlans } from '../trends/usageOf';
import type { Vehicle } from '../vehicle/vehicle';
import { expectedUse, type FleetUsage, type MeterPoint, type UsePlan } from '../wear/usageModel';

/** What a vehicle's meter was read to show, and what it is to be driven: all that its stand is told from. */
export interface MeterLog {
  /** The last reading, of a visit or an entry; null before the first. */
  readonly last: { readonly at: string; readonly meter: number } | null;
  readonly points: readonly MeterPoint[];
  readonly plans: readonly UsePlan[];
}

/** What tells of a vehicle's meter in its life; visits that were given up tell nothing. */
export function meterLog(
  { meterUnit }: Pick<Vehicle, 'meterUnit'>,
  visits: readonly { readonly inspection: Inspection }[],
  entries: readonly LifeEntry[],
): MeterLog {
  const moments = countedVisits(visits).map(({ inspection }) => inspection);
  const last = [
    ...moments.map(({ startedAt, meter }) => ({ at: startedAt, meter })),
    ...standingEntries(entries).flatMap(({ at, meter, kind }) =>
      meter !== null && (kind === 'meter' || kind === 'fuel') ? [{ at, meter }] : [],
    ),
  ].reduce<MeterLog['last']>((a, b) => (a === null || b.at >= a.at ? b : a), null);
  return { last, points: meterPoints(moments, entries, meterUnit), plans: usePlans(entries, meterUnit) };
}

/**
 * What a vehicle's meter is taken to show now: the last reading of a visit or an entry, and what it has gone since at its
 * usual pace.
 *
 * @param now ISO 8601
 * @returns null before it was ever read
 */
export function meterStand(
  { meterUnit }: Pick<Vehicle, 'meterUnit'>,
  { last, points, plans }: MeterLog,
  fleet: FleetUsage,
  now: string,
): MeterStand | null {
  const use = usageBy(points, plans, fleet);
  if (!use || !last) return null;
  const step = METER_STEP[meterUnit];
  const since = Math.max(0, daysBetween(last.at, now));
  return { meter: last.meter + step * expectedUse(use, since), perDay: step * use.perDay };
}
