import { MEASURES } from '../catalogue/measures';
import { crossingOf, fitLine, lineAt, type LineFit } from './leastSquares';
import { readingsOfCurrentPart, type Series } from './series';

export type Forecast =
  | { readonly status: 'needs-readings'; readonly have: number; readonly want: number }
  | { readonly status: 'not-falling'; readonly fit: LineFit }
  | { readonly status: 'reached'; readonly fit: LineFit }
  | {
      readonly status: 'running-out';
      readonly fit: LineFit;
      /** Left from the last visit until the limit, in the meter's unit: 80 % interval and most likely; `high` null when open. */
      readonly low: number;
      readonly mid: number;
      readonly high: number | null;
    };

/** Readings of one part that a line needs. */
const LEAST_READINGS = 2;

/**
 * First form of the forecast: least squares through the readings of the fitted part over distance, and the distance left
 * until `limit` with an 80 % interval. Says what it needs rather than a bare figure of nothing. Only for wear measures.
 *
 * @param limit fail limit in the measure's unit; wear falls towards it
 */
export function forecastOf(series: Series, limit: number): Forecast {
  const part = readingsOfCurrentPart(series);
  const last = part.at(-1);
  const u = last?.u ?? MEASURES[series.measure].repeatability;
  const fit = fitLine(
    part.map((reading) => ({ x: reading.travelled, y: reading.value })),
    u,
  );
  if (!fit || !last) return { status: 'needs-readings', have: part.length, want: LEAST_READINGS };
  if (last.value < limit) return { status: 'reached', fit };
  const crossing = crossingOf(fit, limit);
  if (!crossing) return { status: 'not-falling', fit };
  const left = (x: number) => Math.max(0, x - last.travelled);
  return {
    status: 'running-out',
    fit,
    low: left(crossing.low),
    mid: left(crossing.mid),
    high: crossing.high === null ? null : left(crossing.high),
  };
}

/** What the line expects at a distance since the first visit; undefined without a line. */
export function expectedAt(
  forecast: Forecast,
  travelled: number,
): { readonly y: number; readonly half: number } | undefined {
  return forecast.status === 'needs-readings' ? undefined : lineAt(forecast.fit, travelled);
}
