import { vehicleTable, type Life } from '@weskopos/contract';
import type { Vehicle } from '@weskopos/core';
import type { Queries } from '../db/engine';
import { columnsOf, recordFrom } from '../db/table';
import { readVisits } from '../inspections/readVisits';
import { readLifeEntries } from './readLifeEntries';

/** A vehicle's sheet; undefined when there is none by that id. */
export async function readVehicle(db: Queries, id: string): Promise<Vehicle | undefined> {
  const [row] = await db.query(`select ${columnsOf(vehicleTable, 'v')} from vehicle v where id = $1`, [id]);
  return row && recordFrom(vehicleTable, row);
}

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
