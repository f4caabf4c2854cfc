import type { LifeEntry, LifeEntryContent } from '@weskopos/core';
import { nowIso } from '../sync/clock';
import { record } from '../sync/workshop';

interface EntryWhen {
  readonly vehicleId: string;
  readonly meter: number | null;
  /** When it was done; now where it is left out. */
  readonly at?: string;
}

/** Puts something into a vehicle's life. Gives its id, by which it can be taken back. */
export async function putEntry(
  { vehicleId, meter, at = nowIso() }: EntryWhen,
  content: LifeEntryContent,
): Promise<string> {
  const id = crypto.randomUUID();
  await record({ kind: 'entry.put', body: { id, vehicleId, at, meter, ...content } as LifeEntry });
  return id;
}
