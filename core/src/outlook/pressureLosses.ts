import { coldPressureAtReference } from '../grading/pressureAtReference';
import { daysBetween } from '../sums/daysBetween';
import type { RawReading } from '../trends/standingLooks';
import type { VisitMoment } from '../trends/series';
import type { Place } from '../vehicle/vehicle';
import type { PressureLoss } from '../wear/pressureLoss';

interface Look {
  readonly at: string;
  readonly inspectionId: string;
  readonly phase: RawReading['phase'];
  /** At the placard's temperature. */
  readonly kpa: number;
}

/**
 * What each tyre lost over the last visits that read it, brought to one temperature so that a cold day is no puncture:
 * from what was left there to what was found, stretch by stretch, so that air that was put in hides nothing.
 *
 * @param altitudeM height of the workshop over the sea, m
 * @param stretches how many stretches between visits to go back, 1 or more; fewer where a tyre has fewer
 */
export function pressureLosses(
  moments: readonly VisitMoment[],
  raw: readonly RawReading[],
  altitudeM: number,
  stretches = 1,
): PressureLoss[] {
  const byId = new Map(moments.map((moment) => [moment.id, moment]));
  const places = new Map<Place, Look[]>();
  for (const { point, measure, place, inspectionId, phase, value } of raw) {
    const moment = byId.get(inspectionId);
    if (point !== 'tyre.pressure' || measure !== 'pressure' || !moment) continue;
    const kpa = coldPressureAtReference(value, moment.ambientC, altitudeM);
    places.set(place, [...(places.get(place) ?? []), { at: moment.startedAt, inspectionId, phase, kpa }]);
  }
  return [...places].flatMap(([place, looks]) => {
    const told = stretchesOf(looks).slice(-stretches);
    const [first] = told;
    const last = told.at(-1);
    if (!first || !last) return [];
    const lost = told.reduce((sum, one) => sum + one.lost, 0);
    const refills = told.slice(1).filter(({ fromLeft }) => fromLeft).length;
    return [{ place, days: daysBetween(first.from, last.to), lost, refills }];
  });
}

/** From each visit that left or found a pressure to the next that found one, oldest first. */
function stretchesOf(looks: readonly Look[]) {
  const visits = new Map<string, Look[]>();
  for (const look of [...looks].sort((a, b) => a.at.localeCompare(b.at)))
    visits.set(look.inspectionId, [...(visits.get(look.inspectionId) ?? []), look]);
  const read = [...visits.values()];
  return read.slice(1).flatMap((now, index) => {
    const before = read[index] ?? [];
    const found = now.findLast(({ phase }) => phase === 'found');
    const left = before.findLast(({ phase }) => phase === 'left');
    const start = left ?? before.at(-1);
    return found && start
      ? [{ from: start.at, to: found.at, lost: start.kpa - found.kpa, fromLeft: left !== undefined }]
      : [];
  });
}
