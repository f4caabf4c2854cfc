import {
  actFrom,
  actTable,
  amendmentTable,
  findingTable,
  inspectionTable,
  liftSheet,
  type StoredAmendment,
  type StoredFinding,
  type Visit,
} from '@weskopos/contract';
import type { SignedSheet } from '@weskopos/core';
import { groupBy } from '@weskopos/core/sums/groupBy';
import type { Queries, Row } from '../db/engine';
import { columnsOf, recordFrom } from '../db/table';

type By = { readonly by: string };
interface Beside {
  readonly inspector: string;
  readonly signed_by_name: string | null;
  readonly voided_by_name: string | null;
  readonly sheet: SignedSheet | null;
  readonly seal: Visit['seal'];
}

/** Visits with all their entries, oldest first; `where` is one of our own conditions over `i` with `id` as $1. */
export async function readVisits(db: Queries, where: 'i.vehicle_id = $1' | 'i.id = $1', id: string): Promise<Visit[]> {
  const visits = await db.query<Row & Beside>(
    `select ${columnsOf(inspectionTable, 'i')}, p.name as inspector, s.name as signed_by_name, x.name as voided_by_name, i.sheet,
       (select json_build_object('hash', g.hash, 'key', g.key, 'value', g.value) from signature g
        where g.subject = i.id and g.kind = 'visit' order by g.n limit 1) as seal
     from inspection i join person p on p.id = i.started_by left join person s on s.id = i.signed_by left join person x on x.id = i.voided_by
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
  const amendments = await db.query<Row & By>(
    `select ${columnsOf(amendmentTable, 'm')}, p.name as by from amendment m join inspection i on i.id = m.inspection_id join person p on p.id = m.made_by
     where ${where} order by m.made_at, m.id`,
    [id],
  );
  const amendmentsOf = groupBy(
    amendments.map((row): StoredAmendment => ({ ...recordFrom(amendmentTable, row), by: row.by })),
    ({ inspectionId }) => inspectionId,
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
      sheet: row.sheet && liftSheet(row.sheet),
      amendments: amendmentsOf.get(inspection.id) ?? [],
      voidedBy: row.voided_by_name,
      seal: row.seal,
    };
  });
}
