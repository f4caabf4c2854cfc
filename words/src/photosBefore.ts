import type { Visit } from '@weskopos/contract';
import type { Finding, FindingPhoto, PointRef } from '@weskopos/core';

/** Photos of one point at the visit that has the newest of it. */
export interface PhotosBefore {
  /** When that visit began, ISO 8601. */
  readonly at: string;
  readonly photos: readonly FindingPhoto[];
}

/** What a visit tells of its photos. */
export interface PhotographedVisit {
  readonly inspection: Pick<Visit['inspection'], 'startedAt'>;
  readonly findings: readonly Pick<Finding, 'point' | 'place' | 'photos'>[];
}

/** The last photos of a point before a visit; null where nobody took any. @param earlier oldest first */
export function photosBefore(ref: PointRef, earlier: readonly PhotographedVisit[]): PhotosBefore | null {
  for (const { findings, inspection } of [...earlier].reverse()) {
    const then = findings.findLast(
      ({ point, place, photos }) => point === ref.point && place === ref.place && photos.length > 0,
    );
    if (then) return { at: inspection.startedAt, photos: then.photos };
  }
  return null;
}
