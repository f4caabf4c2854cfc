import {
  axleAt,
  cataloguePoint,
  hubPlaces,
  pointKey,
  readingAt,
  readingValue,
  type Finding,
  type PointCode,
} from '@weskopos/core';
import type { KnownLining } from '@weskopos/core/calculators/lowBrakeFluid';
import type { Background } from './visitContext';

const LININGS = ['pad.outer', 'pad.inner', 'shoe'] as const satisfies readonly PointCode[];

function liningOf(finding: Finding | undefined, point: PointCode): number | null {
  const measure = cataloguePoint(point).measures[0]?.measure;
  const reading = measure && readingAt(finding, measure);
  return reading?.bound === 'exact' ? readingValue(reading) : null;
}

/** Every lining that is known: as read in this visit, else as it was last time. */
export function knownLinings({ grading, history }: Background): KnownLining[] {
  const { axles } = grading.vehicle;
  return hubPlaces(axles).flatMap((place) =>
    LININGS.flatMap((point): KnownLining[] => {
      const today = liningOf(grading.standing.get(pointKey(point, place)), point);
      const mm = today ?? liningOf(history.lastLook({ point, place })?.finding, point);
      return mm === null ? [] : [{ mm, newMm: axleAt(axles, place)?.liningNewMm ?? null }];
    }),
  );
}
