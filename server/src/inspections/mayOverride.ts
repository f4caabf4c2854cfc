import { currentFindings, gradePoint, pointKey, type Finding } from '@weskopos/core';
import type { Queries } from '../db/engine';
import { rulesOfVisit } from '../rules/rulesOfVisit';
import { readLife } from './readLife';

/** Whether a person may give this entry its own grade: a lead always, an inspector where no limit of the law has failed. */
export async function mayOverride(db: Queries, personId: string | null, finding: Finding): Promise<boolean> {
  const [row] = await db.query<{ vehicle_id: string; role: string }>(
    'select i.vehicle_id, p.role from inspection i, person p where i.id = $1 and p.id = $2',
    [finding.inspectionId, personId],
  );
  // An unknown visit is refused by the entry's own writer.
  if (!row || row.role === 'lead') return true;
  const life = await readLife(db, row.vehicle_id);
  const visit = life?.visits.find(({ inspection }) => inspection.id === finding.inspectionId);
  if (!life || !visit) return true;
  const { inspection, findings } = visit;
  const standing = new Map(currentFindings(findings).standing).set(pointKey(finding.point, finding.place), finding);
  const rules = await rulesOfVisit(db, inspection);
  return !gradePoint(finding, { vehicle: life.vehicle, inspection, rules, standing }).failsLaw;
}
