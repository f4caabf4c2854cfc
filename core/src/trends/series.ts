import { MEASURES, type MeasureCode } from '../catalogue/measures';
import { cataloguePoint, mainSlot, pointKey, type PointCode } from '../catalogue/catalogue';
import { currentFindings } from '../inspection/currentFindings';
import type { Spot } from '../catalogue/points/point';
import { readingValue, type Finding } from '../inspection/finding';
import type { Inspection } from '../inspection/inspection';
import { standardUncertainty } from '../grading/uncertainty';
import { travelledByVisit } from './travelled';

export interface SeriesReading {
  readonly inspectionId: string;
  readonly at: string;
  readonly meter: number;
  /** Distance or hours since the first visit, in the meter's unit: what the line is drawn over. */
  readonly travelled: number;
  readonly value: number;
  /** Standard uncertainty, stored unit. */
  readonly u: number;
  /** The part looks new here: better than the reading before by more than the gauge allows. */
  readonly startsPart: boolean;
}

export interface Series {
  readonly key: string;
  readonly point: PointCode;
  readonly place: string;
  readonly spot: Spot;
  readonly measure: MeasureCode;
  readonly readings: readonly SeriesReading[];
}

export interface VisitRecord {
  readonly inspection: Inspection;
  readonly findings: readonly Finding[];
}

/** Names the series of a measure at one place; the point's main measure needs no name of its own. */
export function seriesKey(point: PointCode, place: string, spot: Spot, measure: MeasureCode): string {
  const main = mainSlot(cataloguePoint(point))?.measure === measure;
  return `${pointKey(point, place)}:${spot}${main ? '' : `:${measure}`}`;
}

/** Every measured series of a vehicle, readings as found, oldest first. */
export function seriesOf(visits: readonly VisitRecord[]): Series[] {
  const travelled = travelledByVisit(visits.map(({ inspection }) => ({ ...inspection, at: inspection.startedAt })));
  const ordered = visits
    .filter(({ inspection }) => travelled.has(inspection.id))
    .sort((a, b) => a.inspection.startedAt.localeCompare(b.inspection.startedAt));
  const series = new Map<string, Series>();
  for (const { inspection, findings } of ordered) {
    for (const finding of currentFindings(findings).standing.values()) {
      // A carried look is the old reading again, not a new one.
      if (finding.carried) continue;
      for (const reading of finding.readings) {
        // A bound is no number; the line leaves it out.
        if (reading.phase !== 'found' || reading.bound !== 'exact') continue;
        const { measure, spot } = reading;
        const key = seriesKey(finding.point, finding.place, spot, measure);
        const sofar = series.get(key) ?? {
          key,
          point: finding.point,
          place: finding.place,
          spot,
          measure,
          readings: [],
        };
        const value = readingValue(reading);
        const u = standardUncertainty(MEASURES[measure], reading.values.length);
        const at = {
          inspectionId: inspection.id,
          at: inspection.startedAt,
          meter: inspection.meter,
          travelled: travelled.get(inspection.id) ?? 0,
        };
        const startsPart = MEASURES[measure].nature === 'wear' && looksNew(value, u, sofar.readings.at(-1));
        series.set(key, { ...sofar, readings: [...sofar.readings, { ...at, value, u, startsPart }] });
      }
    }
  }
  return [...series.values()];
}

function looksNew(value: number, u: number, before: SeriesReading | undefined): boolean {
  return before !== undefined && value > before.value + 3 * Math.hypot(u, before.u);
}

/** The readings since the part that is fitted now was first read. */
export function readingsOfCurrentPart(series: Series): readonly SeriesReading[] {
  return series.readings.slice(
    Math.max(
      0,
      series.readings.findLastIndex((reading) => reading.startsPart),
    ),
  );
}
