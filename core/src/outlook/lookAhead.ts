import type { AheadNote, LookAhead } from '../inspection/aheadNote';
import { readingAt, readingValue, type Finding } from '../inspection/finding';
import { uncertaintyOf } from '../grading/compared';
import type { LifeEntry } from '../parts/lifeEntry';
import { wearEnd } from '../trends/runOut';
import { runsOut } from '../trends/runsOut';
import { wearWatch } from '../trends/wearWatch';
import type { Rules } from '../rules/rulebook';
import { BUILT_IN_FLEET, type FleetKnowledge } from '../trends/fleetKnowledge';
import { chanceWithin } from '../trends/forecast';
import type { VisitRecord } from '../inspection/visitRecord';
import { seriesFrom, seriesKey, type VisitMoment } from '../trends/series';
import { rawReadings, standingLooks } from '../trends/standingLooks';
import { usageFrom } from '../trends/usageOf';
import type { Vehicle } from '../vehicle/vehicle';
import { groupBy } from '../sums/groupBy';
import { daysBetween } from '../sums/daysBetween';
import { nextVisitOf } from './nextVisit';

/** What a look ahead is made from. */
export interface LookAheadGiven {
  readonly vehicle: Vehicle;
  /** The visit whose readings are looked at. */
  readonly inspection: VisitMoment;
  /** Signed visits, this one left out; those that came later do not count. */
  readonly visits: readonly VisitRecord[];
  readonly entries: readonly LifeEntry[];
  readonly rules: Rules;
  readonly fleet?: FleetKnowledge;
}

/**
 * How likely a reading of today is under its fail limit before the next visit: its part's readings so far with this one
 * added, and the pace of visits. Answers are kept, so that only what changed is worked out again.
 */
export function lookAheadOf(given: LookAheadGiven): LookAhead {
  const { vehicle, inspection, entries, rules, fleet = BUILT_IN_FLEET } = given;
  const visits = given.visits.filter((visit) => visit.inspection.startedAt < inspection.startedAt);
  const moments = [...visits.map((visit) => visit.inspection), inspection];
  const nextVisit = nextVisitOf(moments);
  const use = nextVisit === null ? null : usageFrom(moments, entries, vehicle.meterUnit, fleet.use);
  if (nextVisit === null || use === null) return () => null;
  const raw = rawReadings(standingLooks(visits.flatMap(({ findings }) => findings)), { vehicle, house: rules.house });
  // Today's other readings are still to come: what the visits before told.
  const perhaps = wearWatch(vehicle, seriesFrom(moments, raw, entries), fleet)?.perhaps;
  const alike = groupBy(raw, ({ point, spot, measure }) => `${point} ${spot} ${measure}`);
  const days = daysBetween(inspection.startedAt, nextVisit);
  const known = new Map<string, AheadNote | null>();
  return ({ point, place }, { measure, spot, values, step }) => {
    const value = readingValue({ values });
    const key = seriesKey(point, place, spot, measure);
    const asked = `${key} ${values.join()} ${step}`;
    const before = known.get(asked);
    if (before !== undefined) return before;
    const today = { inspectionId: inspection.id, point, place, spot, measure, phase: 'found', value } as const;
    const u = uncertaintyOf({ measure, values, step }, rules.house);
    const sofar = alike.get(`${point} ${spot} ${measure}`) ?? [];
    const series = seriesFrom(moments, [...sofar, { ...today, u }], entries).find((one) => one.key === key);
    const limit = series && runsOut(series) ? (wearEnd(vehicle, series, rules)?.value ?? null) : null;
    const note =
      series && limit !== null
        ? {
            point,
            place,
            measure,
            spot,
            value,
            limit,
            chance: chanceWithin(series, limit, { vehicle, fleet, use, perhaps }, days),
            nextVisit,
          }
        : null;
    known.set(asked, note);
    return note;
  };
}

/** Under this a chance is not worth keeping. */
const LEAST_KEPT = 0.005;

/** What goes on record when a visit is signed: every chance worth a word, whatever the house makes of it. */
export function aheadNotes(standing: ReadonlyMap<string, Finding>, lookAhead: LookAhead): AheadNote[] {
  return [...standing.values()].flatMap((finding) => {
    const { point, place, carried, outOf, readings } = finding;
    if (carried || outOf.length > 0) return [];
    return readings.flatMap((reading) => {
      const { measure, spot, bound } = reading;
      // Of a reading as found and one as left, the later counts.
      if (bound !== 'exact' || readingAt(finding, measure, spot) !== reading) return [];
      const note = lookAhead({ point, place }, reading);
      return note && note.chance >= LEAST_KEPT ? [note] : [];
    });
  });
}
