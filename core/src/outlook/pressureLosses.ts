import { coldPressureAtReference } from '../grading/pressureAtReference';
import { daysBetween } from '../sums/daysBetween';
import type { RawReading } from '../trends/standingLooks';
import type { VisitMoment } from '../trends/series';
import type { PressureLoss } from '../wear/rateChange';

/**
 * What each tyre lost between the last two visits that read it, brought to one temperature so that a cold day is no
 * puncture: from what was left there to what was found.
 *
 * @param altitudeM height of the workshop over the sea, m
 */
export function pressureLosses(
  moments: readonly VisitMoment[],
  raw: readonly RawReading[],
  altitudeM: number,
): PressureLoss[] {
  const byId = new Map(moments.map((moment) => [moment.id, moment]));
  const pressures = raw.filter(({ point, measure }) => point === 'tyre.pressure' && measure === 'pressure');
  const places = [...new Set(pressures.map(({ place }) => place))];
  return places.flatMap((place): PressureLoss[] => {
    const looks = pressures
      .filter((reading) => reading.place === place)
      .flatMap((reading) => {
        const moment = byId.get(reading.inspectionId);
        return moment
          ? [
              {
                ...reading,
                at: moment.startedAt,
                kpa: coldPressureAtReference(reading.value, moment.ambientC, altitudeM),
              },
            ]
          : [];
      })
      .sort((a, b) => a.at.localeCompare(b.at));
    const found = looks.findLast(({ phase }) => phase === 'found');
    if (!found) return [];
    const before = looks.filter(({ at }) => at < found.at);
    const left =
      before.findLast(({ inspectionId, phase }) => inspectionId === before.at(-1)?.inspectionId && phase === 'left') ??
      before.at(-1);
    if (!left) return [];
    return [{ place, days: daysBetween(left.at, found.at), lost: left.kpa - found.kpa }];
  });
}
