import type { Grade } from './grade';
import { verdictOf } from './verdict';
import { currentFindings } from '../inspection/currentFindings';
import type { VisitRecord } from '../inspection/visitRecord';
import type { Vehicle } from '../vehicle/vehicle';
import { rulesOf, type Rulebook } from '../rules/rulebook';

/** A point whose grade other rules would change. */
export interface GradeChange {
  readonly inspectionId: string;
  readonly key: string;
  readonly before: Grade;
  readonly after: Grade;
}

/**
 * What proposed rules would change: one visit's points graded under both rulebooks, where they differ. Nothing is
 * changed by asking. A point only one of the two templates holds is not compared.
 */
export function whatChanges(
  vehicle: Vehicle,
  { inspection, findings }: VisitRecord,
  before: Rulebook,
  after: Rulebook,
): GradeChange[] {
  const { standing } = currentFindings(findings);
  const grades = (rulebook: Rulebook) =>
    verdictOf({ vehicle, inspection, rules: rulesOf(rulebook, inspection.template), standing }).points;
  const now = new Map(grades(before).map(({ key, result }) => [key, result.grade]));
  return grades(after).flatMap(({ key, result }) => {
    const was = now.get(key);
    if (was === undefined || was === result.grade) return [];
    return [{ inspectionId: inspection.id, key, before: was, after: result.grade }];
  });
}
