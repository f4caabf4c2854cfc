import type { OperationBody, Refusal } from '@weskopos/contract';
import type { StandingSummary } from '@weskopos/core';
import { refused, takes, type Writer } from '../ledger/change';
import { keepSignatures, type Sealed } from '../signing/signature';
import { findVisit, type FoundVisit } from './findVisit';
import { keepStandingOfVisit, lifeWith, standingOfLife } from './keptStanding';
import { sealOfVoid } from './seals';

/** How the vehicle stands without the visit, or with it again; not told where that is worked out with much else. */
type Standing = { readonly standing?: StandingSummary; readonly sealed?: Sealed };

const voidProblem = ({ visit: { inspection }, role }: FoundVisit, why: string): Refusal | null => {
  if (inspection.voidedAt !== null) return 'voided';
  // One that was never signed was never told to anybody: whoever is at it may give it up.
  if (inspection.signedAt === null) return null;
  return role === 'lead' && why !== '' ? null : 'lead-only';
};

/** Gives a visit up: it is kept, and counts nowhere from then on. */
export const voidInspection: Writer<OperationBody<'inspection.void'>, Standing> = {
  async decide(tx, change, { inspectionId, at, why }, asks) {
    const found = await findVisit(tx, inspectionId, change.by);
    if (!found) return refused('no-inspection');
    const refusal = voidProblem(found, why);
    if (refusal) return refused(refusal);
    const { life, visit } = found;
    const voided = { ...visit, inspection: { ...visit.inspection, voidedAt: at, voidedWhy: why } };
    const sealed = await sealOfVoid(tx, asks.key, 'void', visit, { by: change.by, at, why });
    return takes({ standing: await standingOfLife(tx, lifeWith(life, voided)), ...sealed });
  },
  async effect(tx, { by }, { inspectionId, at, why }, { standing, sealed }) {
    await tx.query(
      'update inspection set voided_at = $2::timestamptz, voided_by = $3::uuid, voided_why = $4 where id = $1::uuid',
      [inspectionId, at, by, why],
    );
    if (standing) await keepStandingOfVisit(tx, inspectionId, standing);
    if (sealed) await keepSignatures(tx, [sealed]);
  },
};

/** Takes it up again. */
export const restoreInspection: Writer<OperationBody<'inspection.restore'>, Standing> = {
  async decide(tx, change, { inspectionId, at }, asks) {
    const found = await findVisit(tx, inspectionId, change.by);
    if (!found) return refused('no-inspection');
    const { life, visit, role } = found;
    if (visit.inspection.voidedAt === null) return refused('not-voided');
    if (visit.inspection.signedAt !== null && role !== 'lead') return refused('lead-only');
    const again = { ...visit, inspection: { ...visit.inspection, voidedAt: null, voidedWhy: null } };
    const sealed = await sealOfVoid(tx, asks.key, 'restore', visit, { by: change.by, at, why: '' });
    return takes({ standing: await standingOfLife(tx, lifeWith(life, again)), ...sealed });
  },
  async effect(tx, _change, { inspectionId }, { standing, sealed }) {
    await tx.query('update inspection set voided_at = null, voided_by = null, voided_why = null where id = $1::uuid', [
      inspectionId,
    ]);
    if (standing) await keepStandingOfVisit(tx, inspectionId, standing);
    if (sealed) await keepSignatures(tx, [sealed]);
  },
};
