import type { Life, Visit } from '@weskopos/contract';
import { lifeStanding, rulebookAt, rulesOf, standingSummary, type StandingSummary } from '@weskopos/core';
import type { Queries, Tx } from '../db/engine';
import { readRulebooks } from '../rules/readRulebooks';

/** How a vehicle stands by its whole life. */
export async function standingOfLife(db: Queries, life: Life): Promise<StandingSummary> {
  const rulebooks = await readRulebooks(db);
  return standingSummary(
    lifeStanding(life, ({ rulebook, template }) => rulesOf(rulebookAt(rulebooks, rulebook), template)),
  );
}

/** The life with one of its visits as it is about to be. */
export function lifeWith(life: Life, visit: Visit): Life {
  return { ...life, visits: life.visits.map((one) => (one.inspection.id === visit.inspection.id ? visit : one)) };
}

/** Puts a vehicle's standing where the yard reads it. */
export async function keepStanding(tx: Tx, vehicleId: string, standing: StandingSummary): Promise<void> {
  await tx.query('update vehicle set standing = $2::jsonb where id = $1::uuid', [vehicleId, JSON.stringify(standing)]);
}

/** As {@link keepStanding}, of the vehicle a visit is of. */
export async function keepStandingOfVisit(tx: Tx, inspectionId: string, standing: StandingSummary): Promise<void> {
  await tx.query(
    'update vehicle set standing = $2::jsonb where id = (select vehicle_id from inspection where id = $1::uuid)',
    [inspectionId, JSON.stringify(standing)],
  );
}
