import { openEnds, verdictFor, type AheadNote, type Grade } from '@weskopos/core';
import type { OperationBody, Refusal } from '@weskopos/contract';
import type { StoredForecast } from '@weskopos/core/score/storedForecast';
import type { Tx } from '../db/engine';
import { refused, takes, type Writer } from '../ledger/change';
import { rulesOfVisit } from '../rules/rulesOfVisit';
import { readLife } from './readLife';

/** What signing found out: it stays as it was then, whatever the fleet or the rules say later. */
type Signature = {
  readonly grade: Grade;
  readonly counts: Readonly<Record<Grade, number>>;
  /** Why a lead signed over open ends; null where nothing hung. */
  readonly over: string | null;
  readonly ahead: readonly AheadNote[];
  /** As they are shown from now on, to be judged when the truth comes. */
  readonly forecasts: readonly StoredForecast[];
};

/**
 * Signs a visit: from here on nothing in it changes. The verdict is graded here, from what the server holds. With an end
 * open it is refused; a lead may sign over it, and why goes on record. So do the chances the signer was shown and the
 * forecasts that follow: what the fleet teaches later changes neither.
 */
export const signInspection: Writer<OperationBody<'inspection.sign'>, Signature> = {
  async decide(tx, change, { inspectionId, over, ahead = [] }, asks) {
    const [target] = await tx.query<{ vehicle_id: string; signed_at: string | null; role: string | null }>(
      'select i.vehicle_id, i.signed_at, (select role from person where id = $2::uuid) as role from inspection i where i.id = $1::uuid',
      [inspectionId, change.by],
    );
    const life = target && (await readLife(tx, target.vehicle_id));
    const visit = life?.visits.find(({ inspection }) => inspection.id === inspectionId);
    if (!life || !visit) return refused('no-inspection');
    const hanging = openEnds(visit.acts).length > 0;
    const refusal = refusalOf(target, hanging, over);
    if (refusal) return refused(refusal);
    const rules = await rulesOfVisit(tx, visit.inspection);
    const { grade, counts } = verdictFor(life.vehicle, { ...visit.inspection, ahead }, visit.findings, rules);
    const forecasts = await asks.forecastsAt(tx, life.vehicle.id, inspectionId);
    return takes({ grade, counts: { ...counts }, over: hanging ? (over ?? null) : null, ahead, forecasts });
  },

  async effect(tx, change, { inspectionId, signedAt }, { grade, counts, over, ahead, forecasts }) {
    await tx.query(
      `update inspection set signed_at = $2::timestamptz, signed_by = $3::uuid, grade = $4, counts = $5::jsonb, signed_over = $6, ahead = $7::jsonb
       where id = $1::uuid`,
      [inspectionId, signedAt, change.by, grade, JSON.stringify(counts), over, JSON.stringify(ahead)],
    );
    await keepForecasts(tx, inspectionId, forecasts);
  },
};

function refusalOf(
  target: { readonly signed_at: string | null; readonly role: string | null },
  hanging: boolean,
  over: string | undefined,
): Refusal | null {
  if (target.signed_at) return 'already-signed';
  if (!hanging) return null;
  if (over === undefined) return 'ends-open';
  return target.role === 'lead' ? null : 'lead-only';
}

async function keepForecasts(tx: Tx, inspectionId: string, forecasts: readonly StoredForecast[]): Promise<void> {
  if (forecasts.length === 0) return;
  await tx.query(
    `insert into forecast (inspection_id, series, body)
     select $1::uuid, f ->> 'series', f from jsonb_array_elements($2::jsonb) f on conflict do nothing`,
    [inspectionId, JSON.stringify(forecasts)],
  );
}
