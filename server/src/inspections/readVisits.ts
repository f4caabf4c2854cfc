import { actFrom, actTable, findingTable, inspectionTable, type StoredFinding, type Visit } from '@weskopos/contract';
import { groupBy } from '@weskopos/core/sums/groupBy';
import type { Queries, Row } from '../db/engine';
import { columnsOf, recordFrom } from '../db/table';

type By = { readonly by: string };

/** Visits with all their entries, oldest first; `where` is one of our own conditions over `i` with `id` as $1. */
export async function readVisits(db: Queries, where: 'i.vehicle_id = $1' | 'i.id = $1', id: string): Promise<Visit[]> {
  const visits = await db.query<Row & { readonly inspector: string; readonly signed_by_name: string | null }>(
    `select ${columnsOf(inspectionTable, 'i')}, p.name as inspector, s.name as signed_by_name
     from inspection i join person p on p.id = i.started_by left join person s on s.id = i.signed_by
     where ${where} order by i.started_at, i.id`,
    [id],
  );
  const findings = await db.query<Row & By>(
    `select ${columnsOf(findingTable, 'f')}, p.name as by from finding f join inspection i on i.id = f.inspection_id join person p on p.id = f.made_by
     where ${where} order by f.made_at, f.id`,
    [id],
  );
  const acts = await db.query<Row & By>(
    `select ${columnsOf(actTable, 'a')}, p.name as by from act a join inspection i on i.id = a.inspection_id join person p on p.id = a.made_by
     where ${where} order by a.made_at, a.id`,
    [id],
  );
  const findingsOf = groupBy(
    findings.map((row): StoredFinding => ({ ...recordFrom(findingTable, row), by: row.by })),
    ({ inspectionId }) => inspectionId,
  );
  const actsOf = groupBy(
    acts.map((row) => ({ ...actFrom(recordFrom(actTable, row)), by: row.by })),
    ({ inspectionId }) => inspectionId,
  );
  return visits.map((row) => {
    const inspection = recordFrom(inspectionTable, row);
    return {
      inspection,
      findings: findingsOf.get(inspection.id) ?? [],
      acts: actsOf.get(inspection.id) ?? [],
      inspector: row.inspector,
      signedBy: row.signed_by_name,
    };
  });
}
