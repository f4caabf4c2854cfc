import { isSigned, type FleetKnowledge } from '@weskopos/core';
import type { Engine } from '../db/engine';
import { keepStanding, standingOfLife } from './keptStanding';
import { readLife } from './readLife';
import { sheetOfVisit } from './sheetOfVisit';

/**
 * Gives visits that were signed before there were sheets theirs, by what is known today: from here on they stay as they
 * are. Done at a start, before anybody is let in; a workshop that has them all costs one look.
 *
 * @returns how many got one
 */
export async function freezeSigned(engine: Engine, fleet: FleetKnowledge): Promise<number> {
  const rows = await engine.query<{ vehicle_id: string }>(
    'select distinct vehicle_id from inspection where signed_at is not null and sheet is null',
  );
  let frozen = 0;
  for (const { vehicle_id: vehicleId } of rows) {
    const life = await readLife(engine, vehicleId);
    for (const visit of life?.visits ?? []) {
      if (!life || !isSigned(visit.inspection) || visit.sheet) continue;
      const sheet = await sheetOfVisit(engine, life, visit, fleet);
      await engine.query('update inspection set sheet = $2::jsonb where id = $1::uuid', [
        visit.inspection.id,
        JSON.stringify(sheet),
      ]);
      frozen += 1;
    }
    // Changed by no operation: every device fetches it.
    await engine.query(`update vehicle set version = '' where id = $1::uuid`, [vehicleId]);
    const again = await readLife(engine, vehicleId);
    if (again) await engine.transaction(async (tx) => keepStanding(tx, vehicleId, await standingOfLife(tx, again)));
  }
  return frozen;
}
