import { groupBy } from '@weskopos/core/sums/groupBy';
import type { Reading, TrendEntry, Place } from '@weskopos/core';
import type { Queries, SqlValue } from '../db/engine';

/** The columns of an {@link EntryRow} over `finding f`. Rows only: which of them stand is decided in the core. */
const ENTRY_COLUMNS = `f.id, f.parent, f.inspection_id, f.point, f.place, f.made_at, f.carried_at::text as carried_at, f.carried_from,
  f.out_of, f.standard`;

interface EntryRow {
  readonly id: string;
  readonly parent: string | null;
  readonly inspection_id: string;
  readonly point: TrendEntry['point'];
  readonly place: Place;
  readonly made_at: string;
  readonly carried_at: string | null;
  readonly carried_from: NonNullable<TrendEntry['carried']>['from'] | null;
  readonly out_of: TrendEntry['outOf'];
  readonly standard: TrendEntry['standard'];
}

interface ReadingRow extends Pick<Reading, 'measure' | 'spot' | 'phase' | 'bound' | 'step'> {
  readonly finding_id: string;
  readonly value: number;
}

type LeakRow = Pick<TrendEntry['leaks'][number], 'stage' | 'fluid' | 'place' | 'reaches' | 'wiped'> & {
  readonly finding_id: string;
  readonly drops_per_minute: number | null;
  readonly only_running: boolean | null;
};

/** Readings of these measures; every leak. `which` is one of our own conditions over `f`, its values from $1 on. */
export interface EntriesWanted {
  readonly which: string;
  readonly values: readonly SqlValue[];
  readonly measures: readonly string[];
}

/** The bare rows of the readings wanted, one per value: what any sum over them costs at least. */
export function readingsQuery({ which, values }: EntriesWanted): string {
  return `select r.finding_id, r.measure, r.spot, r.phase, r.bound, r.step, r.value from finding f join reading r on r.finding_id = f.id
    where ${which} and r.measure in (select jsonb_array_elements_text($${values.length + 1}::jsonb)) order by r.finding_id, r.measure, r.spot, r.phase, r.n`;
}

/** Entries of findings with what trends take of them, in no order. */
export async function readTrendEntries(
  db: Queries,
  wanted: EntriesWanted,
): Promise<(TrendEntry & { readonly by: string })[]> {
  const { which, values, measures } = wanted;
  const rows = await db.query<EntryRow & { readonly by: string }>(
    `select ${ENTRY_COLUMNS}, p.name as by from finding f join person p on p.id = f.made_by where ${which}`,
    values,
  );
  const readings = await db.query<ReadingRow>(readingsQuery(wanted), [...values, JSON.stringify(measures)]);
  const leaks = await db.query<LeakRow>(
    `select l.* from finding f join leak l on l.finding_id = f.id where ${which} order by l.finding_id, l.n`,
    values,
  );
  const readingsOf = gathered(readings);
  const leaksOf = groupBy(leaks, ({ finding_id }) => finding_id);
  return rows.map((row) => ({
    id: row.id,
    parent: row.parent,
    inspectionId: row.inspection_id,
    point: row.point,
    place: row.place,
    at: row.made_at,
    carried:
      row.carried_at === null || row.carried_from === null ? null : { at: row.carried_at, from: row.carried_from },
    outOf: row.out_of,
    standard: row.standard,
    by: row.by,
    readings: readingsOf.get(row.id) ?? [],
    leaks: (leaksOf.get(row.id) ?? []).map(({ stage, fluid, place, reaches, wiped, ...drops }) => ({
      stage,
      fluid,
      place,
      reaches,
      wiped,
      dropsPerMinute: drops.drops_per_minute,
      onlyRunning: drops.only_running,
    })),
  }));
}

/** Rows of single values, those of one reading next to each other, as readings by finding. */
function gathered(rows: readonly ReadingRow[]): Map<string, Reading[]> {
  const byFinding = new Map<string, (Omit<Reading, 'values'> & { values: number[] })[]>();
  for (const { finding_id: id, measure, spot, phase, bound, step, value } of rows) {
    const here = byFinding.get(id) ?? [];
    byFinding.set(id, here);
    const last = here.at(-1);
    if (last && last.measure === measure && last.spot === spot && last.phase === phase && last.bound === bound)
      last.values.push(value);
    else here.push({ measure, spot, phase, bound, step, values: [value] });
  }
  return byFinding;
}
