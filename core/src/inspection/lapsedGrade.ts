import equal from 'fast-deep-equal';
import { LOOK_FIELDS, type Finding, type GradeOverride } from './finding';

/**
 * The grade by hand that a later look let lapse, to be asked for again; null where none was given, where the one that was
 * given stands, and where it was taken back by hand.
 *
 * @param findings every entry of the visit, in any order
 */
export function lapsedGrade(standing: Finding | undefined, findings: readonly Finding[]): GradeOverride | null {
  const byId = new Map(findings.map((one) => [one.id, one]));
  let here = standing;
  while (here && here.override === null) {
    const before: Finding | undefined = here.parent === null ? undefined : byId.get(here.parent);
    if (before?.override) return looksOtherwise(before, here) ? before.override : null;
    here = before;
  }
  return null;
}

const looksOtherwise = (before: Finding, after: Finding): boolean =>
  LOOK_FIELDS.some((field) => !equal(before[field], after[field]));
