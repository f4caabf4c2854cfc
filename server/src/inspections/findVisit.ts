import type { Life, Role, Visit } from '@weskopos/contract';
import type { Queries } from '../db/engine';
import { readLife } from './readLife';

/** A visit with the life it is part of, and what the person who asks may do. */
export interface FoundVisit {
  readonly life: Life;
  readonly visit: Visit;
  /** Null for one nobody knows. */
  readonly role: Role | null;
}

/** A visit by its id with all around it; undefined when there is none. */
export async function findVisit(
  db: Queries,
  inspectionId: string,
  personId: string | null = null,
): Promise<FoundVisit | undefined> {
  const [row] = await db.query<{ vehicle_id: string; role: Role | null }>(
    'select i.vehicle_id, (select role from person where id = $2::uuid) as role from inspection i where i.id = $1::uuid',
    [inspectionId, personId],
  );
  const life = row && (await readLife(db, row.vehicle_id));
  const visit = life?.visits.find(({ inspection }) => inspection.id === inspectionId);
  return row && life && visit && { life, visit, role: row.role };
}
