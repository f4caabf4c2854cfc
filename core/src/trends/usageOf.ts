import { entriesOf, standingEntries, type LifeEntry } from '../parts/lifeEntry';
import type { MeterUnit } from '../vehicle/vehicle';
import {
  USUAL_USAGE,
  usageNow,
  type FleetUsage,
  type MeterPoint,
  type UsageForecast,
  type UsePlan,
} from '../wear/usageModel';
import { METER_STEP } from './partHistory';
import type { VisitRecord } from '../inspection/visitRecord';
import type { VisitMoment } from './series';
import { travelledByVisit } from './travelled';

const DAY_MS = 86_400_000;

/** Every reading of the meter, at visits and between them, in steps of the meter. Two on one day are one. */
export function meterPoints(
  visits: readonly VisitMoment[],
  entries: readonly LifeEntry[],
  unit: MeterUnit,
): MeterPoint[] {
  const standing = standingEntries(entries);
  const read = [
    ...visits.map((visit) => ({ ...visit, at: visit.startedAt })),
    ...[...entriesOf(standing, 'meter'), ...entriesOf(standing, 'fuel')].flatMap(({ id, at, meter }) =>
      meter === null ? [] : [{ id, at, meter, meterAnswer: null }],
    ),
  ];
  const travelled = travelledByVisit(read);
  const points = read
    .filter(({ id }) => travelled.has(id))
    .map(({ id, at }) => ({ day: Date.parse(at) / DAY_MS, x: (travelled.get(id) ?? 0) / METER_STEP[unit] }))
    .sort((a, b) => a.day - b.day);
  return points.filter((point, index) => (points[index + 1]?.day ?? Infinity) - point.day >= 1);
}

/** How the vehicle is used now, from its meter; null before it has been read at all. */
export function usageFrom(
  visits: readonly VisitMoment[],
  entries: readonly LifeEntry[],
  unit: MeterUnit,
  fleet: FleetUsage = USUAL_USAGE,
): UsageForecast | null {
  return usageBy(meterPoints(visits, entries, unit), usePlans(entries, unit), fleet);
}

/** What a vehicle is planned to be driven beside its usual use. */
export function usePlans(entries: readonly LifeEntry[], unit: MeterUnit): UsePlan[] {
  return entriesOf(standingEntries(entries), 'plan').map(({ at, until, distance }) => ({
    from: Date.parse(at) / DAY_MS,
    to: Date.parse(until) / DAY_MS,
    x: distance / METER_STEP[unit],
  }));
}

/** As {@link usageFrom}, from the readings of the meter themselves. */
export const usageBy = (
  points: readonly MeterPoint[],
  plans: readonly UsePlan[],
  fleet: FleetUsage,
): UsageForecast | null => (points.length === 0 ? null : { ...usageNow(points, fleet), plans });

/** As {@link usageFrom}, from whole visits. */
export const usageOf = (
  visits: readonly VisitRecord[],
  ...rest: Tail<Parameters<typeof usageFrom>>
): UsageForecast | null =>
  usageFrom(
    visits.map(({ inspection }) => inspection),
    ...rest,
  );
type Tail<T extends readonly unknown[]> = T extends readonly [unknown, ...infer Rest] ? Rest : never;
