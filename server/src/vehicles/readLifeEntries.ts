import type { StoredLifeEntry } from '@weskopos/contract';
import type { Queries } from '../db/engine';

interface LifeEntryRow {
  readonly id: string;
  readonly vehicle_id: string;
  readonly kind: string;
  readonly done_at: string;
  readonly meter: number | null;
  readonly body: object;
  readonly by: string;
}

/** What happened to one vehicle besides its visits, in the order it was written down. */
export async function readLifeEntries(db: Queries, vehicleId: string): Promise<StoredLifeEntry[]> {
  const rows = await db.query<LifeEntryRow>(
    `select e.*, p.name as by from life_entry e join person p on p.id = e.made_by where e.vehicle_id = $1 order by e.made_at, e.id`,
    [vehicleId],
  );
  // Written through the same schema that is read back; the body is its own kind's.
  return rows.map(
    ({ id, vehicle_id, kind, done_at, meter, body, by }) =>
      ({ id, vehicleId: vehicle_id, kind, at: done_at, meter, ...body, by }) as StoredLifeEntry,
  );
}
