import { MEASURE_CODES } from '@weskopos/core';
import { handsOf, repeatsOf, type Hands } from '@weskopos/core/score/secondReadings';
import type { Repeats } from '@weskopos/core/score/repeatability';
import type { Queries } from '../db/engine';
import { readTrendEntries } from './trendEntries';

/** All entries of the points where `has` holds for one of them: what stands of them is decided in the core. */
const entriesWhere = (db: Queries, has: string) =>
  readTrendEntries(db, {
    which: `(f.inspection_id, f.point, f.place) in (select g.inspection_id, g.point, g.place from finding g ${has})`,
    values: [],
    measures: MEASURE_CODES,
  });

/** How well gauges and hands repeat over the whole workshop. */
export async function readRepeats(db: Queries): Promise<Repeats[]> {
  return repeatsOf(await entriesWhere(db, 'join reading r on r.finding_id = g.id where r.n > 0'));
}

/** Two persons' readings of one thing, over the whole workshop. */
export async function readHands(db: Queries): Promise<Hands[]> {
  return handsOf(
    await entriesWhere(db, 'group by g.inspection_id, g.point, g.place having count(distinct g.made_by) > 1'),
  );
}
