import type { PriceList } from '@weskopos/core';
import type { Queries } from '../db/engine';

/** What the workshop asks by now. */
export async function readPrices(db: Queries): Promise<{ readonly version: number; readonly list: PriceList | null }> {
  const [newest] = await db.query<{ version: number; list: PriceList }>(
    'select version, list from price_list order by version desc limit 1',
  );
  return newest ?? { version: 0, list: null };
}
