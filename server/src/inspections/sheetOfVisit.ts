import type { Life, Visit } from '@weskopos/contract';
import { composeReport, isSigned, signedSheet, toldBy, type FleetKnowledge, type SignedSheet } from '@weskopos/core';
import type { Queries } from '../db/engine';
import { rulesOfVisit } from '../rules/rulesOfVisit';

/** The signed visits of a life that came before one. */
export function visitsBefore({ visits }: Life, { inspection: { startedAt } }: Visit): Visit[] {
  return visits.filter(({ inspection }) => isSigned(inspection) && inspection.startedAt < startedAt);
}

/** What a visit is signed with: all that its report says, by what is known now of what had happened by then. */
export async function sheetOfVisit(db: Queries, life: Life, visit: Visit, fleet: FleetKnowledge): Promise<SignedSheet> {
  const rules = await rulesOfVisit(db, visit.inspection);
  const { signedAt, startedAt } = visit.inspection;
  const entries = toldBy(life.entries, signedAt ?? startedAt);
  return signedSheet(composeReport(life.vehicle, visit, visitsBefore(life, visit), rules, { entries, fleet }));
}
