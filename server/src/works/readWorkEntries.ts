import { lifeEntryFrom, lifeEntryTable, type AnswerOf } from '@weskopos/contract';
import { groupBy } from '@weskopos/core/sums/groupBy';
import type { Queries, Row } from '../db/engine';
import { columnsOf, recordFrom } from '../db/table';

/** Works of all vehicles and everything said of them, with what was taken back, by vehicle; in the order it was written down. */
export async function readWorkEntries(db: Queries): Promise<AnswerOf<'works'>> {
  const rows = await db.query<Row & { readonly by: string }>(
    `select ${columnsOf(lifeEntryTable, 'e')}, p.name as by from life_entry e join person p on p.id = e.made_by
     where e.vehicle_id in (select vehicle_id from life_entry where kind = 'work')
       and e.kind in ('work', 'work-step', 'undo')
     order by e.made_at, e.id`,
  );
  const entries = rows.map((row) => ({ ...lifeEntryFrom(recordFrom(lifeEntryTable, row)), by: row.by }));
  return [...groupBy(entries, ({ vehicleId }) => vehicleId)].map(([vehicleId, of]) => ({
    vehicleId,
    entries: [...of],
  }));
}
