import type { Place } from '../vehicle/vehicle';
import type { Seat } from '../vehicle/place';
import type { VisitRecord } from '../inspection/visitRecord';
import { MEASURES, type MeasureCode } from '../catalogue/measures';
import { cataloguePoint, mainSlot, pointKey, type PointCode } from '../catalogue/catalogue';
import type { Spot } from '../catalogue/points/point';
import type { Bound } from '../inspection/finding';
import type { Inspection } from '../inspection/inspection';
import { entriesOf, standingEntries, type LifeEntry } from '../parts/lifeEntry';
import { isChangeOfSets } from '../parts/tyreSets';
import { partOfPoint, threadParts, type PartBook } from '../parts/threadParts';
import { daysBetween } from '../sums/daysBetween';
import { groupBy } from '../sums/groupBy';
import { rawReadings, standingLooks, type LooksGiven, type RawReading } from './standingLooks';
import { inHalfYear } from './halfYear';
import { travelledByVisit } from './travelled';

/** One reading of a series, placed by what the vehicle had come by then. */
export interface SeriesReading {
  readonly inspectionId: string;
  readonly at: string;
  readonly meter: number;
  /** Distance or hours since the first visit, in the meter's unit: what the line is drawn over. */
  readonly travelled: number;
  readonly value: number;
  /** Standard uncertainty, stored unit. */
  readonly u: number;
  /** Another part than at the reading before: told by an entry, or better by more than the gauge allows. */
  readonly startsPart: boolean;
  /** Which part was read; one that only looks new has a name of its own too. */
  readonly part: string;
}

/** A look that told an inequality only: a bar not flush, a gauge that fell in. No point of the line, and known all the same. */
export interface SeriesBound extends Pick<SeriesReading, 'inspectionId' | 'at' | 'travelled' | 'value' | 'u'> {
  /** The truth is more, or at most, the value. */
  readonly bound: Exclude<Bound, 'exact'>;
}

/** When and how the part that sits here now was fitted. */
export interface FittedPart {
  readonly at: string;
  readonly travelled: number;
  readonly fresh: number;
}

/** Every standing reading of one measure at one spot, oldest first. */
export interface Series {
  readonly key: string;
  readonly point: PointCode;
  readonly place: Place;
  readonly spot: Spot;
  readonly measure: MeasureCode;
  readonly readings: readonly SeriesReading[];
  /** Readings of the part that sits here now, wherever it sat when it was read. */
  readonly ofPart: readonly SeriesReading[];
  /** Inequalities of the part that sits here now, oldest first; left out where there are none. */
  readonly bounds?: readonly SeriesBound[];
  /** Null where nobody told what it was when new. */
  readonly fitted: FittedPart | null;
  /** Where the part that sits here now sat before, oldest first, each up to a distance; left out where it was never moved. */
  readonly before?: readonly { readonly place: Seat; readonly until: number }[];
  /**
   * Of a tyre on a vehicle with two sets: where they were changed for each other, oldest first, and how far the vehicle goes
   * in half a year, null where too little is on record; left out where there is one set.
   */
  readonly sets?: { readonly changes: readonly number[]; readonly halfYear: number | null };
}

/** Names the series of a measure at one place; the point's main measure needs no name of its own. */
export function seriesKey(point: PointCode, place: Place, spot: Spot, measure: MeasureCode): string {
  const main = mainSlot(cataloguePoint(point))?.measure === measure;
  return `${pointKey(point, place)}:${spot}${main ? '' : `:${measure}`}`;
}

/** What a vehicle's readings are hung on: its visits' times and meters. */
export type VisitMoment = Pick<Inspection, 'id' | 'startedAt' | 'meter' | 'meterAnswer' | 'ambientC'>;

/**
 * Every measured series of a vehicle, readings as found, oldest first. Readings follow the parts: `entries` tell what was
 * fitted and where it was moved to; what looks new without an entry begins a part of its own.
 */
export function seriesOf(visits: readonly VisitRecord[], entries: readonly LifeEntry[], given: LooksGiven): Series[] {
  return seriesFrom(
    visits.map(({ inspection }) => inspection),
    rawReadings(standingLooks(visits.flatMap(({ findings }) => findings)), given),
    entries,
  );
}

/** As {@link seriesOf}, from bare readings in any order. */
export function seriesFrom(
  visits: readonly VisitMoment[],
  raw: readonly RawReading[],
  entries: readonly LifeEntry[] = [],
): Series[] {
  const travelled = travelledByVisit(visits.map((visit) => ({ ...visit, at: visit.startedAt })));
  const moments = visits.filter(({ id }) => travelled.has(id)).sort((a, b) => a.startedAt.localeCompare(b.startedAt));
  const byVisit = groupBy(raw, ({ inspectionId }) => inspectionId);
  const book = threadParts(entries);
  const standing = standingEntries(entries);
  const misread = new Set(
    entriesOf(standing, 'misread').map(
      ({ inspectionId, point, place, spot }) => `${inspectionId} ${point} ${place} ${spot}`,
    ),
  );
  const drafts = new Map<
    string,
    Omit<Series, 'ofPart' | 'fitted' | 'readings' | 'before' | 'sets'> & { readings: SeriesReading[] }
  >();
  // What looks new is told apart from what sat there before by a count of its own.
  const looks = new Map<string, number>();
  const boundsOf = new Map<string, SeriesBound[]>();
  for (const visit of moments)
    for (const { point, place, spot, measure, phase, value, u, bound } of byVisit.get(visit.id) ?? []) {
      if (phase !== 'found') continue;
      if (misread.has(`${visit.id} ${point} ${place} ${spot}`)) continue;
      const what = partOfPoint(point);
      const seated = what ? book.partAt(what, place, visit.startedAt).id : `${point}@${place}`;
      const seat = `${seated} ${point} ${spot}`;
      const look = { inspectionId: visit.id, at: visit.startedAt, travelled: travelled.get(visit.id) ?? 0, value, u };
      if (bound) {
        const part = `${seat} ${looks.get(seat) ?? 0}`;
        boundsOf.set(part, [...(boundsOf.get(part) ?? []), { ...look, bound }]);
        continue;
      }
      const key = seriesKey(point, place, spot, measure);
      const sofar = drafts.get(key) ?? { key, point, place, spot, measure, readings: [] };
      drafts.set(key, sofar);
      const before = sofar.readings.at(-1);
      if (MEASURES[measure].nature === 'wear' && before?.part.startsWith(seat) && looksNew(value, u, before))
        looks.set(seat, (looks.get(seat) ?? 0) + 1);
      const part = `${seat} ${looks.get(seat) ?? 0}`;
      sofar.readings.push({
        ...look,
        meter: visit.meter,
        startsPart: before !== undefined && before.part !== part,
        part,
      });
    }
  const all = [...drafts.values()];
  const rotations = entriesOf(standing, 'rotate');
  const meterAt = new Map(rotations.map((moved) => [moved.at, moved.meter]));
  const movedAt = (at: string) => travelledAt(moments, travelled, at, meterAt.get(at) ?? null);
  const changes = rotations.filter(({ moves }) => isChangeOfSets(moves)).map((change) => movedAt(change.at));
  const sets = { changes, halfYear: halfYearOf(moments, travelled) };
  const alike = groupBy(all, ({ point, spot, measure }) => `${point} ${spot} ${measure}`);
  return all.map((series) => {
    const kin = (alike.get(`${series.point} ${series.spot} ${series.measure}`) ?? [])
      .flatMap(({ readings }) => readings)
      .sort((a, b) => a.travelled - b.travelled);
    const part = partNow(series, kin, book);
    const ofPart = kin.filter((reading) => reading.part === part);
    const known = book.parts.find(({ id }) => part === `${id} ${series.point} ${series.spot} 0`);
    const fitted =
      known?.fittedAt && known.fresh !== null
        ? {
            at: known.fittedAt,
            travelled: travelledAt(moments, travelled, known.fittedAt, known.fittedMeter),
            fresh: known.fresh,
          }
        : null;
    // A part cannot have been read before it was fitted: then what was told of its fitting is not used.
    const sound = fitted && fitted.travelled <= (ofPart[0]?.travelled ?? Infinity) ? fitted : null;
    const bounds = boundsOf.get(part);
    const seats = book.parts.find(({ id }) => part.startsWith(`${id} ${series.point} ${series.spot} `))?.places ?? [];
    const before = seats.slice(1).map(({ since }, index) => ({
      place: seats[index]?.place ?? series.place,
      until: movedAt(since),
    }));
    return {
      ...series,
      ofPart,
      ...(bounds ? { bounds } : {}),
      fitted: sound,
      ...(before.length > 0 ? { before } : {}),
      ...(changes.length > 0 && partOfPoint(series.point) === 'tyre' ? { sets } : {}),
    };
  });
}

/**
 * The part that sits at a series' place now. A part leads its series: one that was fitted or moved here counts from then on,
 * whether or not it has been read here, or at all.
 */
function partNow(
  { point, place, spot, readings }: Pick<Series, 'point' | 'place' | 'spot' | 'readings'>,
  kin: readonly SeriesReading[],
  book: PartBook,
): string {
  const read = readings.at(-1)?.part ?? '';
  const what = partOfPoint(point);
  if (!what) return read;
  const sits = `${book.partNow(what, place).id} ${point} ${spot} `;
  if (read.startsWith(sits)) return read;
  return kin.findLast(({ part }) => part.startsWith(sits))?.part ?? `${sits}0`;
}

/** From where the part that sits here now is told: the last look at it, a bound too, else as it was when it was fitted. */
export function lastKnown(series: Series): Pick<SeriesReading, 'at' | 'travelled' | 'value'> | undefined {
  const look = lastLook(series);
  if (look) return look;
  const { fitted } = series;
  return fitted ? { at: fitted.at, travelled: fitted.travelled, value: fitted.fresh } : undefined;
}

/** The last figure known of the part that sits here now: read, or told when it was fitted. A bound is none. */
export function lastFigure({ ofPart, fitted }: Pick<Series, 'ofPart' | 'fitted'>): number | undefined {
  return ofPart.at(-1)?.value ?? fitted?.fresh;
}

/** The last look at the part that sits here now, an inequality too: forecasts count from there. */
export function lastLook({ ofPart, bounds = [] }: Series): SeriesReading | SeriesBound | undefined {
  const [last, bound] = [ofPart.at(-1), bounds.at(-1)];
  return last && bound && bound.travelled > last.travelled ? bound : last;
}

/** How far a vehicle goes in half a year by all its visits, in the meter's unit; null where they lie too near each other. */
function halfYearOf(visits: readonly VisitMoment[], travelled: ReadonlyMap<string, number>): number | null {
  const [first, last] = [visits[0], visits.at(-1)];
  if (!first || !last) return null;
  const gone = (travelled.get(last.id) ?? 0) - (travelled.get(first.id) ?? 0);
  return inHalfYear(gone, daysBetween(first.startedAt, last.startedAt));
}

/** Distance since the first visit at a moment between visits: by the meter where it was read, else as at the visit before. */
function travelledAt(
  visits: readonly VisitMoment[],
  travelled: ReadonlyMap<string, number>,
  at: string,
  meter: number | null,
): number {
  const before = visits.findLast(({ startedAt }) => startedAt <= at) ?? visits[0];
  if (!before) return 0;
  const then = travelled.get(before.id) ?? 0;
  return meter === null ? then : then + meter - before.meter;
}

function looksNew(value: number, u: number, before: SeriesReading | undefined): boolean {
  return before !== undefined && value > before.value + 3 * Math.hypot(u, before.u);
}
