import {
  lifeEntryFrom,
  lifeEntryTable,
  type BundleScope,
  type EntryLine,
  type KeyLine,
  type PhotoLine,
  type RulebookLine,
  type SignatureLine,
  type VisitLine,
} from '@weskopos/contract';
import type { Rulebook } from '@weskopos/core';
import type { StoredForecast } from '@weskopos/core/score/storedForecast';
import { groupBy } from '@weskopos/core/sums/groupBy';
import type { Queries, Row } from '../db/engine';
import { columnsOf, recordFrom } from '../db/table';
import { NotFound } from '../http/problems';
import { readVisits } from '../inspections/readVisits';

/** Records as they stand in a bundle, in an order that is the same whatever the database did since. */

type Where = 'i.vehicle_id = $1' | 'i.id = $1';

/** Visits of a vehicle or one by its id, oldest first. */
export async function visitLines(db: Queries, where: Where, id: string): Promise<VisitLine[]> {
  const visits = await readVisits(db, where, id);
  const verdicts = await db.query<{ id: string } & Pick<VisitLine, 'grade' | 'counts'>>(
    `select i.id, i.grade, i.counts from inspection i where ${where}`,
    [id],
  );
  const forecasts = await db.query<{ inspection_id: string; body: StoredForecast }>(
    `select f.inspection_id, f.body from forecast f join inspection i on i.id = f.inspection_id where ${where} order by f.series`,
    [id],
  );
  const verdictOf = new Map(verdicts.map((one) => [one.id, one]));
  const forecastsOf = groupBy(forecasts, ({ inspection_id }) => inspection_id);
  return visits.map(({ seal: _seal, ...visit }) => {
    const verdict = verdictOf.get(visit.inspection.id);
    return {
      ...visit,
      grade: verdict?.grade ?? null,
      counts: verdict?.counts ?? null,
      forecasts: (forecastsOf.get(visit.inspection.id) ?? []).map(({ body }) => body),
    };
  });
}

/** What else happened to a vehicle, or one entry by its id, in the order it was written down. */
export async function entryLines(
  db: Queries,
  where: 'e.vehicle_id = $1' | 'e.id = $1',
  id: string,
): Promise<EntryLine[]> {
  const rows = await db.query<Row & { readonly by: string; readonly written_at: string }>(
    `select ${columnsOf(lifeEntryTable, 'e')}, p.name as by, e.made_at as written_at
     from life_entry e join person p on p.id = e.made_by where ${where} order by e.made_at, e.id`,
    [id],
  );
  return rows.map((row) => ({
    entry: { ...lifeEntryFrom(recordFrom(lifeEntryTable, row)), by: row.by },
    writtenAt: row.written_at,
  }));
}

/** Every version of the rules the workshop made, oldest first. */
export async function rulebookLines(db: Queries): Promise<RulebookLine[]> {
  return db.query<{ rulebook: Rulebook; by: string; at: string }>(
    `select r.body as rulebook, p.name as by, r.made_at as at from rulebook r join person p on p.id = r.made_by order by r.version`,
  );
}

/** Photos by their ids. */
export async function photoLines(db: Queries, ids: readonly string[]): Promise<PhotoLine[]> {
  return db.query<PhotoLine>(
    `select f.id, f.sha256, f.width, f.height, f.bytes, p.name as by, f.added_at as at
     from photo f join person p on p.id = f.added_by
     where f.id = any(array(select jsonb_array_elements_text($1::jsonb)::uuid)) order by f.id`,
    [JSON.stringify(ids)],
  );
}

/** The vehicles a bundle is of, by their ids in order. Throws {@link NotFound}. */
export async function vehiclesIn(db: Queries, scope: BundleScope): Promise<string[]> {
  if (scope.kind === 'workshop')
    return (await db.query<{ id: string }>('select id from vehicle order by id')).map(({ id }) => id);
  const [found] =
    scope.kind === 'vehicle'
      ? await db.query<{ id: string }>('select id from vehicle where id = $1', [scope.id])
      : await db.query<{ id: string }>('select vehicle_id as id from inspection where id = $1', [scope.id]);
  if (!found) throw new NotFound(scope.kind === 'vehicle' ? 'vehicle' : 'inspection');
  return [found.id];
}

/** Signatures of a vehicle, of a visit with its amendments, or one by its hash, in the order of their chain. */
export async function signatureLines(
  db: Queries,
  where: 's.vehicle_id = $1' | 's.hash = $1' | 'visit',
  id: string,
): Promise<SignatureLine[]> {
  const wanted =
    where === 'visit'
      ? `s.subject = $1 or s.subject in (select id from amendment where inspection_id = $1)
           or (s.kind = 'blank' and s.vehicle_id = (select vehicle_id from inspection where id = $1))`
      : where;
  return db.query<SignatureLine>(
    `select s.hash, s.vehicle_id as "vehicleId", s.n, s.previous, s.kind, s.subject, s.document, s.key, s.value
     from signature s where ${wanted} order by s.n, s.hash`,
    [id],
  );
}

/** Keys that signatures name. */
export async function keyLines(db: Queries): Promise<KeyLine[]> {
  return db.query<KeyLine>('select id, pem from signing_key order by id');
}
