import type { Life } from '@weskopos/contract';
import type { Queries } from '../db/engine';
import { readVisits } from '../inspections/readVisits';
import { readLifeEntries } from './readLifeEntries';
import { vehicleFrom, type VehicleRow } from './vehicleRow';

/** A vehicle with all its visits, oldest first, and what else happened to it; undefined when there is none by that id. */
export async function readLife(db: Queries, id: string): Promise<Life | undefined> {
  const [row] = await db.query<VehicleRow>('select * from vehicle where id = $1', [id]);
  return (
    row && {
      vehicle: vehicleFrom(row),
      visits: await readVisits(db, 'i.vehicle_id = $1', id),
      entries: await readLifeEntries(db, id),
    }
  );
}
