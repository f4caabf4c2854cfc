import { OPERATION_RECORDS, lifeSchema, lift, type Life } from '@weskopos/contract';
import fs from 'node:fs/promises';
import path from 'node:path';

/** What programs of every earlier version wrote down, kept as they wrote it. */
export const EXAMPLES = path.join(__dirname, '..', '..', '..', 'contract', 'examples');

export interface KeptLife {
  readonly vehicle: { readonly id: string };
  readonly visits: unknown;
  readonly entries: readonly unknown[];
}

export async function readExample<T>(name: string): Promise<T> {
  return JSON.parse(await fs.readFile(path.join(EXAMPLES, name), 'utf8')) as T;
}

/** A life as an older program told it, in today's shape. */
export function liftedLife(kept: KeptLife): Life {
  return lifeSchema.parse({
    ...kept,
    vehicle: lift(OPERATION_RECORDS['vehicle.put'], kept.vehicle),
    entries: kept.entries.map((entry) => lift(OPERATION_RECORDS['entry.put'], entry)),
  });
}
