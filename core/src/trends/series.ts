import { MEASURES, type MeasureCode } from '../catalogue/measures';
import { cataloguePoint, pointKey, type PointCode, type Spot } from '../catalogue/points';
import { currentFindings } from '../inspection/currentFindings';
import { readingAt, readingValue, type Finding, type Inspection } from '../inspection/finding';
import { standardUncertainty } from '../grading/uncertainty';
import { travelledKm } from './travelled';

export interface SeriesReading {
  readonly inspectionId: string;
  readonly at: string;
  readonly meterKm: number;
  /** Distance since the first visit, km: what the line is drawn over. */
  readonly travelledKm: number;
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

export function seriesKey(point: string, place: string, spot: Spot): string {
  return `${pointKey(point, place)}:${spot}`;
}

/** Every measured series of a vehicle, readings as found, oldest first. */
export function seriesOf(visits: readonly VisitRecord[]): Series[] {
  const travelled = travelledKm(visits.map(({ inspection }) => ({ ...inspection, at: inspection.startedAt })));
  const ordered = visits
    .filter(({ inspection }) => travelled.has(inspection.id))
    .sort((a, b) => a.inspection.startedAt.localeCompare(b.inspection.startedAt));
  const series = new Map<string, Series>();
  for (const { inspection, findings } of ordered) {
    for (const finding of currentFindings(findings).standing.values()) {
      for (const spot of cataloguePoint(finding.point).spots) {
        const reading = readingAt(finding, spot, 'found');
        if (!reading) continue;
        const key = seriesKey(finding.point, finding.place, spot);
        const sofar = series.get(key) ?? {
          key,
          point: finding.point,
          place: finding.place,
          spot,
          measure: reading.measure,
          readings: [],
        };
        const value = readingValue(reading);
        const u = standardUncertainty(MEASURES[reading.measure], reading.values.length);
        const at = {
          inspectionId: inspection.id,
          at: inspection.startedAt,
          meterKm: inspection.meterKm,
          travelledKm: travelled.get(inspection.id) ?? 0,
        };
        const startsPart = MEASURES[reading.measure].nature === 'wear' && looksNew(value, u, sofar.readings.at(-1));
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
