import { vehicleTable } from '@weskopos/contract';
import type { Vehicle } from '@weskopos/core';
import type { Queries } from '../db/engine';
import { columnsOf, recordFrom } from '../db/table';

/** A vehicle's sheet; undefined when there is none by that id. */
export async function readVehicle(db: Queries, id: string): Promise<Vehicle | undefined> {
  const [row] = await db.query(`select ${columnsOf(vehicleTable, 'v')} from vehicle v where id = $1`, [id]);
  return row && recordFrom(vehicleTable, row);
}
