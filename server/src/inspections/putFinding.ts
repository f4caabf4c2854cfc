import { cataloguePoint, type Finding } from '@weskopos/core';
import type { Engine } from '../db/engine';
import { operationValues, writeDown, type Applied } from '../operations/applyChange';
import type { Change } from '../operations/change';
import { mayOverride } from './mayOverride';

/** Appends one entry to a visit that is still open: one statement, so one transaction and one trip to the database. */
export async function putFinding(engine: Engine, change: Change, finding: Finding): Promise<Applied> {
  if (finding.override && !(await mayOverride(engine, change.by, finding)))
    return writeDown(engine, change, 'lead-only');
  const [applied] = await engine.query<NonNullable<Applied>>(
    `select refusal from ${finding.outOf.length > 0 ? 'put_finding_out_of_condition' : 'put_finding'}($1, $2, $3, $4, $5, $6, $7, $8)`,
    [...operationValues(change), JSON.stringify(finding), cataloguePoint(finding.point).repeats === 'tyre'],
  );
  return applied;
}
