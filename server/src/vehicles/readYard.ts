import { vehicleTable, type VisitSummary, type YardEntry } from '@weskopos/contract';
import type { Grade, StandingSummary } from '@weskopos/core';
import type { Queries, Row } from '../db/engine';
import { columnsOf, recordFrom } from '../db/table';

interface SummaryRow {
  readonly id: string;
  readonly started_at: string;
  readonly meter: number;
  readonly signed_at: string | null;
  readonly grade: Grade | null;
  readonly counts: Record<Grade, number> | null;
}

type YardRow = Row & {
  readonly standing: StandingSummary | null;
  readonly last: SummaryRow | null;
  readonly open: SummaryRow | null;
  readonly version: string;
};

const SUMMARY = `json_build_object('id', id, 'started_at', started_at, 'meter', meter, 'signed_at', signed_at, 'grade', grade, 'counts', counts)`;

/** Every vehicle with its last signed visit and the one that is half done. */
export async function readYard(db: Queries): Promise<YardEntry[]> {
  const rows = await db.query<YardRow>(
    `select ${columnsOf(vehicleTable, 'v')}, v.standing, v.version,
       (select ${SUMMARY} from inspection where vehicle_id = v.id and signed_at is not null and voided_at is null order by started_at desc limit 1) as last,
       (select ${SUMMARY} from inspection where vehicle_id = v.id and signed_at is null and voided_at is null order by started_at desc limit 1) as open
     from vehicle v order by v.fleet_code`,
  );
  return rows.map((row) => ({
    vehicle: recordFrom(vehicleTable, row),
    standing: row.standing,
    last: row.last && summaryFrom(row.last),
    open: row.open && summaryFrom(row.open),
    version: row.version,
  }));
}

function summaryFrom(row: SummaryRow): VisitSummary {
  const iso = (text: string) => new Date(text).toISOString();
  return {
    inspectionId: row.id,
    startedAt: iso(row.started_at),
    meter: row.meter,
    signedAt: row.signed_at && iso(row.signed_at),
    grade: row.grade,
    counts: row.counts,
  };
}
