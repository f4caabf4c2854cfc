import { flatLifeEntry, lifeEntryTable } from '@weskopos/contract';
import type { LifeEntry } from '@weskopos/core';
import { MADE_BY, insertRecords } from '../db/table';
import { AS_SAID, refused, takes, type Writer } from '../ledger/change';

/** Appends an entry to a vehicle's life; an undo must name one of the same vehicle. */
export const putLifeEntry: Writer<LifeEntry> = {
  async decide(tx, _change, entry) {
    const [facts] = await tx.query<{ vehicle: boolean; there: boolean; undone: boolean }>(
      `select exists (select 1 from vehicle where id = $1::uuid) as vehicle, exists (select 1 from life_entry where id = $2::uuid) as there,
         exists (select 1 from life_entry where id = $3::uuid and vehicle_id = $1::uuid) as undone`,
      [entry.vehicleId, entry.id, entry.kind === 'undo' ? entry.refers : null],
    );
    if (!facts?.vehicle) return refused('no-vehicle');
    if (facts.there) return refused('already-there');
    return entry.kind === 'undo' && !facts.undone ? refused('no-entry') : takes(AS_SAID);
  },
  effect: (tx, { by, operation }, entry) =>
    insertRecords(tx, lifeEntryTable, [
      {
        record: flatLifeEntry(entry),
        beside: [
          [MADE_BY, by],
          [{ column: 'made_at', type: 'timestamptz' }, operation.at],
        ],
      },
    ]),
};
