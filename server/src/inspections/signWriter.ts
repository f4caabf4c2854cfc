import {
  openEnds,
  verdictOfVisit,
  type AheadNote,
  type Grade,
  type SignedSheet,
  type StandingSummary,
} from '@weskopos/core';
import type { OperationBody, Refusal, Visit } from '@weskopos/contract';
import type { StoredForecast } from '@weskopos/core/score/storedForecast';
import type { Tx } from '../db/engine';
import { refused, takes, type Writer } from '../ledger/change';
import { keepSignature, type Sealed } from '../signing/signature';
import { sealVisit } from './seals';
import { rulesOfVisit } from '../rules/rulesOfVisit';
import { findVisit, type FoundVisit } from './findVisit';
import { keepStandingOfVisit, lifeWith, standingOfLife } from './keptStanding';
import { heldAhead } from './heldAhead';
import { sheetOfVisit } from './sheetOfVisit';

/** What signing found out: it stays as it was then, whatever the fleet or the rules say later. */
type Signature = {
  readonly grade: Grade;
  readonly counts: Readonly<Record<Grade, number>>;
  /** Why a lead signed over open ends; null where nothing hung. */
  readonly over: string | null;
  readonly ahead: readonly AheadNote[];
  /** As they are shown from now on, to be judged when the truth comes. */
  readonly forecasts: readonly StoredForecast[];
  /** All that the report says. Signatures from before there were sheets have none, and get theirs at the next start. */
  readonly sheet?: SignedSheet;
  /** How the vehicle stands with this visit. */
  readonly standing?: StandingSummary;
  /** All of it as one text, signed by the workshop. Visits signed before there were signatures have none. */
  readonly sealed?: Sealed;
};

/**
 * Signs a visit: from here on nothing in it changes. The verdict is graded here, from what the server holds. With an end
 * open it is refused; a lead may sign over it, and why goes on record. So do the chances the signer was shown and the
 * forecasts that follow: what the fleet teaches later changes neither.
 */
export const signInspection: Writer<OperationBody<'inspection.sign'>, Signature> = {
  async decide(tx, change, { inspectionId, signedAt, over, ahead: told = [] }, asks) {
    const found = await findVisit(tx, inspectionId, change.by);
    if (!found) return refused('no-inspection');
    const hanging = openEnds(found.visit.acts).length > 0;
    const refusal = refusalOf(found, hanging, over);
    if (refusal) return refused(refusal);
    const { life } = found;
    const rules = await rulesOfVisit(tx, found.visit.inspection);
    const fleet = asks.knowledge();
    const ahead = asks.asTold ? told : heldAhead(told, life, found.visit, signedAt, { rules, fleet });
    const signing: Visit = { ...found.visit, inspection: { ...found.visit.inspection, ahead, signedAt } };
    const sheet = await sheetOfVisit(tx, life, signing, fleet);
    const signed: Visit = { ...signing, sheet };
    const { grade, counts } = verdictOfVisit(life.vehicle, signed, rules);
    const standing = await standingOfLife(tx, lifeWith(life, signed));
    const forecasts = await asks.forecastsAt(tx, life.vehicle.id, inspectionId, signedAt);
    const signedOver = hanging ? (over ?? null) : null;
    const verdict = { grade, counts: { ...counts } };
    const asKept = { ...signed, inspection: { ...signed.inspection, signedOver } };
    const sealed = asks.key && (await sealVisit(tx, asks.key, asKept, { ...verdict, by: change.by, at: signedAt }));
    return takes({ ...verdict, over: signedOver, ahead, forecasts, sheet, standing, ...(sealed ? { sealed } : {}) });
  },

  async effect(
    tx,
    change,
    { inspectionId, signedAt },
    { grade, counts, over, ahead, forecasts, sheet = null, standing, sealed },
  ) {
    await tx.query(
      `update inspection set signed_at = $2::timestamptz, signed_by = $3::uuid, grade = $4, counts = $5::jsonb, signed_over = $6,
         ahead = $7::jsonb, sheet = $8::jsonb
       where id = $1::uuid`,
      [
        inspectionId,
        signedAt,
        change.by,
        grade,
        JSON.stringify(counts),
        over,
        JSON.stringify(ahead),
        sheet && JSON.stringify(sheet),
      ],
    );
    if (standing) await keepStandingOfVisit(tx, inspectionId, standing);
    await keepForecasts(tx, inspectionId, forecasts);
    if (sealed) await keepSignature(tx, sealed);
  },
};

function refusalOf({ visit, role }: FoundVisit, hanging: boolean, over: string | undefined): Refusal | null {
  if (visit.inspection.signedAt) return 'already-signed';
  if (visit.inspection.voidedAt) return 'voided';
  if (!hanging) return null;
  if (over === undefined) return 'ends-open';
  return role === 'lead' ? null : 'lead-only';
}

async function keepForecasts(tx: Tx, inspectionId: string, forecasts: readonly StoredForecast[]): Promise<void> {
  if (forecasts.length === 0) return;
  await tx.query(
    `insert into forecast (inspection_id, series, body)
     select $1::uuid, f ->> 'series', f from jsonb_array_elements($2::jsonb) f on conflict do nothing`,
    [inspectionId, JSON.stringify(forecasts)],
  );
}
