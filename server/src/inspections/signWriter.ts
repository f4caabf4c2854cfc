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
import { refused, takes, type Taken, type Writer } from '../ledger/change';
import { keepSignatures, type Sealed } from '../signing/signature';
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

  effect: (tx, change, body, outcome) => keepSigned(tx, [{ change, body, outcome }]),
  repeated: keepSigned,
};

async function keepSigned(tx: Tx, taken: readonly Taken<OperationBody<'inspection.sign'>, Signature>[]): Promise<void> {
  const rows = taken.map(({ change, body, outcome }) => ({
    id: body.inspectionId,
    signed_at: body.signedAt,
    signed_by: change.by,
    grade: outcome.grade,
    counts: outcome.counts,
    signed_over: outcome.over,
    ahead: outcome.ahead,
    sheet: outcome.sheet ?? null,
  }));
  await tx.query(
    `update inspection i set signed_at = r.signed_at, signed_by = r.signed_by, grade = r.grade, counts = r.counts,
       signed_over = r.signed_over, ahead = r.ahead, sheet = r.sheet
     from json_to_recordset($1::json) as r (id uuid, signed_at timestamptz, signed_by uuid, grade text, counts jsonb,
       signed_over text, ahead jsonb, sheet jsonb)
     where i.id = r.id`,
    [JSON.stringify(rows)],
  );
  // In their order: the last of a vehicle counts.
  for (const { body, outcome } of taken)
    if (outcome.standing) await keepStandingOfVisit(tx, body.inspectionId, outcome.standing);
  await keepForecasts(
    tx,
    taken.flatMap(({ body, outcome }) =>
      outcome.forecasts.map((forecast) => ({
        inspection_id: body.inspectionId,
        series: forecast.series,
        body: forecast,
      })),
    ),
  );
  await keepSignatures(
    tx,
    taken.flatMap(({ outcome: { sealed } }) => sealed ?? []),
  );
}

function refusalOf({ visit, role }: FoundVisit, hanging: boolean, over: string | undefined): Refusal | null {
  if (visit.inspection.signedAt) return 'already-signed';
  if (visit.inspection.voidedAt) return 'voided';
  if (!hanging) return null;
  if (over === undefined) return 'ends-open';
  return role === 'lead' ? null : 'lead-only';
}

interface ForecastRow {
  readonly inspection_id: string;
  readonly series: string;
  readonly body: StoredForecast;
}

async function keepForecasts(tx: Tx, rows: readonly ForecastRow[]): Promise<void> {
  if (rows.length === 0) return;
  await tx.query(
    `insert into forecast (inspection_id, series, body)
     select inspection_id, series, body from json_to_recordset($1::json) as r (inspection_id uuid, series text, body jsonb)
     on conflict do nothing`,
    [JSON.stringify(rows)],
  );
}
