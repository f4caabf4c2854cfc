import type { Life } from '@weskopos/contract';
import type { Queries } from '../db/engine';
import { readLifeEntries } from '../vehicles/readLifeEntries';
import { readVehicle } from '../vehicles/readVehicle';
import { readVisits } from './readVisits';

/** A vehicle with all its visits, oldest first, and what else happened to it; undefined when there is none by that id. */
export async function readLife(db: Queries, id: string): Promise<Life | undefined> {
  const vehicle = await readVehicle(db, id);
  return (
    vehicle && {
      vehicle,
      visits: await readVisits(db, 'i.vehicle_id = $1', id),
      entries: await readLifeEntries(db, id),
    }
  );
}
