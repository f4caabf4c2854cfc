import type { Rulebook } from '@weskopos/core';
import type { Queries } from '../db/engine';

/** Every version of the rules the workshop made, oldest first. */
export async function readRulebooks(db: Queries): Promise<Rulebook[]> {
  const rows = await db.query<{ body: Rulebook }>('select body from rulebook order by version');
  return rows.map(({ body }) => body);
}
