import type { Life, Visit } from '@weskopos/contract';
import {
  BASELINE,
  cataloguePoint,
  currentFindings,
  expectedAt,
  forecastSeries,
  nextFinding,
  pointKey,
  readingAt,
  readingValue,
  seriesKey,
  seriesOf,
  travelledKm,
  type Finding,
  type Forecast,
  type GradingContext,
  type Phase,
  type PointRef,
  type Spot,
} from '@weskopos/core';
import { withReading } from './readings';

/** What stands behind today's reading: the last visit's, and what the trend expects. */
export interface Background {
  readonly grading: GradingContext;
  /** The last signed visit's entry for a point. */
  readonly lastFinding: (ref: PointRef) => { readonly finding: Finding; readonly visit: Visit } | undefined;
  readonly expected: (ref: PointRef, spot: Spot) => number | null;
  readonly ghost: (ref: PointRef, spot: Spot) => number | null;
}

export function backgroundOf(life: Life, visit: Visit, earlier: readonly Visit[]): Background {
  const { vehicle } = life;
  const grading: GradingContext = {
    vehicle,
    inspection: visit.inspection,
    sheet: BASELINE,
    guarded: false,
    standing: currentFindings(visit.findings).standing,
  };
  const looks = earlier.map((one) => ({ visit: one, standing: currentFindings(one.findings).standing }));
  const today =
    travelledKm([...earlier, visit].map(({ inspection }) => ({ ...inspection, at: inspection.startedAt }))).get(
      visit.inspection.id,
    ) ?? 0;
  const forecasts = new Map<string, Forecast>(
    forecastSeries(vehicle, seriesOf(earlier), BASELINE).map(({ series, forecast }) => [series.key, forecast]),
  );
  const lastFinding = (ref: PointRef) => {
    const look = looks.findLast(({ standing }) => {
      const finding = standing.get(pointKey(ref.point, ref.place));
      return finding !== undefined && finding.access !== 'open' && finding.access !== 'not-reached';
    });
    const finding = look?.standing.get(pointKey(ref.point, ref.place));
    return look && finding ? { finding, visit: look.visit } : undefined;
  };
  return {
    grading,
    lastFinding,
    expected: (ref, spot) => {
      const forecast = forecasts.get(seriesKey(ref.point, ref.place, spot));
      const expected = forecast && expectedAt(forecast, today);
      return expected ? Math.max(0, expected.y) : null;
    },
    ghost: (ref, spot) => {
      const reading = readingAt(lastFinding(ref)?.finding, spot);
      return reading ? readingValue(reading) : null;
    },
  };
}

/** The grading context as it would be with the value under the finger. */
export function withDraft(
  background: Background,
  ref: PointRef,
  spot: Spot,
  phase: Phase,
  value: number | null,
): Background['grading'] {
  const { grading } = background;
  const { measure } = cataloguePoint(ref.point);
  const key = pointKey(ref.point, ref.place);
  if (value === null || !measure) return grading;
  const standing = grading.standing.get(key);
  const before = readingAt(standing, spot, phase);
  if (before && readingValue(before) === value) return grading;
  const drafted = nextFinding(
    standing,
    { inspectionId: '', ...ref },
    { id: 'draft', at: '' },
    { access: 'seen', readings: withReading(standing?.readings ?? [], { measure, spot, phase }, value) },
  );
  return { ...grading, standing: new Map(grading.standing).set(key, drafted) };
}
