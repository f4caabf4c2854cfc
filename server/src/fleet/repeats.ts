import type { Scorecard } from '@weskopos/contract';
import type { MeasureCode } from '@weskopos/core';
import type { Queries } from '../db/engine';

/** Repeats of one reading by one hand: how far they lie apart is what the gauge and the hand do. */
export function readRepeats(db: Queries): Promise<Scorecard['repeats']> {
  return db.query<{ measure: MeasureCode; pairs: number; sigma: number }>(
    `select measure, sum(n - 1)::integer as pairs, sqrt(sum((n - 1) * spread) / sum(n - 1))::float8 as sigma
     from (
       select measure, count(*) as n, var_samp(value) as spread
       from reading group by finding_id, measure, spot, phase having count(*) > 1
     ) r
     group by measure order by measure`,
  );
}

/** Two persons' readings of one thing in one visit: how much more the first reads than the second. */
export async function readHands(db: Queries): Promise<Scorecard['hands']> {
  const rows = await db.query<
    { measure: MeasureCode; first: string; second: string } & Omit<Scorecard['hands'][number], 'names' | 'measure'>
  >(
    `with seen as (
       select f.inspection_id, f.point, f.place, f.id, f.made_by, p.name, r.measure, r.spot, r.phase, avg(r.value) as value
       from finding f join reading r on r.finding_id = f.id join person p on p.id = f.made_by
       where r.bound = 'exact' and f.carried_at is null
       group by f.inspection_id, f.point, f.place, f.id, f.made_by, p.name, r.measure, r.spot, r.phase
     )
     select a.measure, a.name as first, b.name as second, count(*)::integer as pairs,
       avg(a.value - b.value)::float8 as bias, stddev_samp(a.value - b.value)::float8 as sigma
     from seen a join seen b on a.inspection_id = b.inspection_id and a.point = b.point and a.place = b.place
       and a.measure = b.measure and a.spot = b.spot and a.phase = b.phase and a.name < b.name
     where not exists (
       -- The same figure under a later entry's other words is no second look.
       select 1 from finding later where later.id in (a.id, b.id) and later.parent in (a.id, b.id)
         and a.value = b.value)
     group by a.measure, a.name, b.name having count(*) > 1
     order by a.measure, a.name, b.name`,
  );
  return rows.map(({ first, second, ...row }) => ({ ...row, names: [first, second] }));
}
