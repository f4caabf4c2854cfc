import { lifeEntryFrom, lifeEntryTable, type StoredLifeEntry } from '@weskopos/contract';
import type { Queries, Row } from '../db/engine';
import { columnsOf, recordFrom } from '../db/table';

/** What happened to one vehicle besides its visits, in the order it was written down. */
export async function readLifeEntries(db: Queries, vehicleId: string): Promise<StoredLifeEntry[]> {
  const rows = await db.query<Row & { readonly by: string }>(
    `select ${columnsOf(lifeEntryTable, 'e')}, p.name as by from life_entry e join person p on p.id = e.made_by
     where e.vehicle_id = $1 order by e.made_at, e.id`,
    [vehicleId],
  );
  return rows.map((row) => ({ ...lifeEntryFrom(recordFrom(lifeEntryTable, row)), by: row.by }));
}
