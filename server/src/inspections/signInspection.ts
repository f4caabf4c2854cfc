import { openEnds, verdictFor } from '@weskopos/core';
import type { OperationBody, Refusal } from '@weskopos/contract';
import type { Tx } from '../db/engine';
import { writeDown, type Applied } from '../operations/applyChange';
import type { Change } from '../operations/change';
import { rulesOfVisit } from '../rules/rulesOfVisit';
import { readLife } from '../vehicles/readLife';

/**
 * Signs a visit: from here on nothing in it changes. The verdict is graded here, from what the server holds. With an end
 * open it is refused; a lead may sign over it, and why goes on record. So do the chances the signer was shown: what the
 * fleet teaches later changes no grade.
 */
export async function signInspection(tx: Tx, change: Change, body: OperationBody<'inspection.sign'>): Promise<Applied> {
  const [target] = await tx.query<{ vehicle_id: string; signed_at: string | null; role: string | null }>(
    'select i.vehicle_id, i.signed_at, (select role from person where id = $2) as role from inspection i where i.id = $1 for update of i',
    [body.inspectionId, change.by],
  );
  const life = target && (await readLife(tx, target.vehicle_id));
  const visit = life?.visits.find(({ inspection }) => inspection.id === body.inspectionId);
  const hanging = visit ? openEnds(visit.acts).length > 0 : false;
  const refusal = refusalOf(target, hanging, body.over);
  const operation = await writeDown(tx, change, refusal);
  if (!operation || refusal || !life || !visit) return operation;
  const rules = await rulesOfVisit(tx, visit.inspection);
  const { ahead = [] } = body;
  const { grade, counts } = verdictFor(life.vehicle, { ...visit.inspection, ahead }, visit.findings, rules);
  await tx.query(
    'update inspection set signed_at = $2, signed_by = $3, grade = $4, counts = $5, signed_over = $6, ahead = $7 where id = $1',
    [
      body.inspectionId,
      body.signedAt,
      change.by,
      grade,
      JSON.stringify(counts),
      hanging ? (body.over ?? null) : null,
      JSON.stringify(ahead),
    ],
  );
  return operation;
}

function refusalOf(
  target: { readonly signed_at: string | null; readonly role: string | null } | undefined,
  hanging: boolean,
  over: string | undefined,
): Refusal | null {
  if (!target) return 'no-inspection';
  if (target.signed_at) return 'already-signed';
  if (!hanging) return null;
  if (over === undefined) return 'ends-open';
  return target.role === 'lead' ? null : 'lead-only';
}
