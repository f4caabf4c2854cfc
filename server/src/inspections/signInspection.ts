import { verdictFor } from '@weskopos/core';
import type { Refusal } from '@weskopos/contract';
import type { Tx } from '../db/engine';
import { writeDown, type Applied } from '../operations/applyChange';
import type { Change } from '../operations/change';
import { rulesOfVisit } from '../rules/rulesOfVisit';
import { readLife } from '../vehicles/readLife';

/** Signs a visit: from here on nothing in it changes. The verdict is graded here, from what the server holds. */
export async function signInspection(
  tx: Tx,
  change: Change,
  body: { inspectionId: string; signedAt: string },
): Promise<Applied> {
  const [target] = await tx.query<{ vehicle_id: string; signed_at: string | null }>(
    'select vehicle_id, signed_at from inspection where id = $1',
    [body.inspectionId],
  );
  const refusal: Refusal | null = !target ? 'no-inspection' : target.signed_at ? 'already-signed' : null;
  const operation = await writeDown(tx, change, refusal);
  const life = operation && !refusal && target ? await readLife(tx, target.vehicle_id) : undefined;
  const visit = life?.visits.find(({ inspection }) => inspection.id === body.inspectionId);
  if (life && visit) {
    const rules = await rulesOfVisit(tx, visit.inspection);
    const { grade, counts } = verdictFor(life.vehicle, visit.inspection, visit.findings, rules);
    await tx.query('update inspection set signed_at = $2, signed_by = $3, grade = $4, counts = $5 where id = $1', [
      body.inspectionId,
      body.signedAt,
      change.by,
      grade,
      JSON.stringify(counts),
    ]);
  }
  return operation;
}
