import { lifeEntryFrom, lifeEntryTable, type StoredLifeEntry } from '@weskopos/contract';
import type { Queries, Row, SqlValue } from '../db/engine';
import { columnsOf, recordFrom } from '../db/table';

/** What happened to one vehicle besides its visits, in the order it was written down. */
export const readLifeEntries = (db: Queries, vehicleId: string): Promise<StoredLifeEntry[]> =>
  entriesWhere(db, 'e.vehicle_id = $1::uuid', [vehicleId]);

/** Works of all vehicles and everything said of them, with what was taken back, in the order it was written down. */
export const readWorkEntries = (db: Queries): Promise<StoredLifeEntry[]> =>
  entriesWhere(
    db,
    `e.kind in ('work', 'work-step', 'work-cost', 'undo') and e.vehicle_id in (select vehicle_id from life_entry where kind = 'work')`,
    [],
  );

async function entriesWhere(db: Queries, where: string, values: readonly SqlValue[]): Promise<StoredLifeEntry[]> {
  const rows = await db.query<Row & { readonly by: string }>(
    `select ${columnsOf(lifeEntryTable, 'e')}, p.name as by from life_entry e join person p on p.id = e.made_by
     where ${where} order by e.made_at, e.id`,
    values,
  );
  return rows.map((row) => ({ ...lifeEntryFrom(recordFrom(lifeEntryTable, row)), by: row.by }));
}
