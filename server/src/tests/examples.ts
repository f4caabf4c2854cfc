import { lifeSchema, liftLife, type Life } from '@weskopos/contract';
import fs from 'node:fs/promises';
import path from 'node:path';

/** What programs of every earlier version wrote down, kept as they wrote it. */
export const EXAMPLES = path.join(__dirname, '..', '..', '..', 'contract', 'examples');

export interface KeptLife {
  readonly vehicle: { readonly id: string };
}

export async function readExample<T>(name: string): Promise<T> {
  return JSON.parse(await fs.readFile(path.join(EXAMPLES, name), 'utf8')) as T;
}

/** A life as an older program told it, in today's shape. */
export const liftedLife = (kept: unknown): Life => lifeSchema.parse(liftLife(kept));
