import { amendmentTable, findingTable, type AmendmentPut } from '@weskopos/contract';
import {
  pointsAmended,
  verdictOfVisit,
  type Amendment,
  type Grade,
  type SignedPoint,
  type StandingSummary,
} from '@weskopos/core';
import { MADE_BY, insertRecords } from '../db/table';
import { refused, takes, type Writer } from '../ledger/change';
import { keepSignatures, type Sealed } from '../signing/signature';
import { sealAmendment } from './seals';
import { rulesOfVisit } from '../rules/rulesOfVisit';
import { factsOf, fitsIn } from './findingWriter';
import { findVisit } from './findVisit';
import { keepStandingOfVisit, lifeWith, standingOfLife } from './keptStanding';
import { mayOverride } from './mayOverride';

/** What an amendment changed. */
type Amended = {
  readonly points: readonly SignedPoint[];
  readonly grade: Grade;
  readonly counts: Readonly<Record<Grade, number>>;
  readonly standing?: StandingSummary;
  readonly sealed?: Sealed;
};

/**
 * Adds an entry to a visit that is signed. What was signed stays as it was; the points whose grade comes out otherwise are
 * kept beside it, with why.
 */
export const putAmendment: Writer<AmendmentPut, Amended> = {
  async decide(tx, change, { id, inspectionId, at, why, finding }, asks) {
    const found = await findVisit(tx, inspectionId, change.by);
    if (!found) return refused('no-inspection');
    const { life, visit } = found;
    const { signedAt, voidedAt } = visit.inspection;
    if (voidedAt !== null) return refused('voided');
    if (signedAt === null || !visit.sheet) return refused('not-signed');
    if (visit.amendments.some((one) => one.id === id)) return refused('already-there');
    const refusal = fitsIn(await factsOf(tx, [finding]), finding);
    if (refusal) return refused(refusal);
    if (finding.override && !(await mayOverride(tx, change.by, finding))) return refused('lead-only');
    const rules = await rulesOfVisit(tx, visit.inspection);
    const points = pointsAmended(visit, visit.sheet, finding, rules);
    const by = '';
    const amended = {
      ...visit,
      findings: [...visit.findings, { ...finding, by }],
      amendments: [...visit.amendments, { id, inspectionId, at, why, findingId: finding.id, points, by }],
    };
    const { grade, counts } = verdictOfVisit(life.vehicle, amended, rules);
    const standing = await standingOfLife(tx, lifeWith(life, amended));
    const record: Amendment = { id, inspectionId, at, why, findingId: finding.id, points };
    const told = { grade, counts: { ...counts }, by: change.by, at };
    const sealed = asks.key && (await sealAmendment(tx, asks.key, visit, record, finding, told));
    return takes({ points, grade, counts, standing, ...(sealed ? { sealed } : {}) });
  },

  async effect(tx, { by }, { id, inspectionId, at, why, finding }, { points, grade, counts, standing, sealed }) {
    await insertRecords(tx, findingTable, [{ record: finding, beside: [[MADE_BY, by]] }]);
    const record: Amendment = { id, inspectionId, at, why, findingId: finding.id, points };
    await insertRecords(tx, amendmentTable, [{ record, beside: [[MADE_BY, by]] }]);
    await tx.query('update inspection set grade = $2, counts = $3::jsonb where id = $1::uuid', [
      inspectionId,
      grade,
      JSON.stringify(counts),
    ]);
    if (standing) await keepStandingOfVisit(tx, inspectionId, standing);
    if (sealed) await keepSignatures(tx, [sealed]);
  },
};
