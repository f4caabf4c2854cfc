import type { StoredFinding, Visit } from '@weskopos/contract';
import type { Inspection } from '@weskopos/core';
import type { Queries } from '../db/engine';
import { actFrom, type ActRow } from './actRow';
import { FINDING_COLUMNS, findingFrom, type FindingRow } from './findingRow';

type VisitRow = { readonly inspector: string; readonly signed_by_name: string | null } & {
  readonly id: string;
  readonly vehicle_id: string;
  readonly started_at: string;
  readonly meter: number;
  readonly meter_answer: Inspection['meterAnswer'];
  readonly complaint: string;
  readonly state: Inspection['state'];
  readonly stood_h: number | null;
  readonly fuel: number | null;
  readonly corners: Inspection['corners'];
  readonly ambient_c: number | null;
  readonly load: Inspection['load'];
  readonly rulebook: number;
  readonly template: string;
  readonly focus: Inspection['focus'];
  readonly catalogue_version: number;
  readonly signed_at: string | null;
  readonly ahead: Inspection['ahead'];
  readonly signed_over: string | null;
};

/** Visits with all their entries, oldest first; `where` is one of our own conditions over `i` with `id` as $1. */
export async function readVisits(db: Queries, where: 'i.vehicle_id = $1' | 'i.id = $1', id: string): Promise<Visit[]> {
  const visits = await db.query<VisitRow>(
    `select i.*, p.name as inspector, s.name as signed_by_name
     from inspection i join person p on p.id = i.started_by left join person s on s.id = i.signed_by
     where ${where} order by i.started_at`,
    [id],
  );
  const findings = await db.query<FindingRow>(
    `select ${FINDING_COLUMNS} from finding f join inspection i on i.id = f.inspection_id join person p on p.id = f.made_by
     where ${where} order by f.made_at, f.id`,
    [id],
  );
  const acts = await db.query<ActRow>(
    `select a.*, p.name as by from act a join inspection i on i.id = a.inspection_id join person p on p.id = a.made_by
     where ${where} order by a.made_at, a.id`,
    [id],
  );
  const byInspection = new Map<string, StoredFinding[]>();
  for (const row of findings)
    byInspection.set(row.inspection_id, [...(byInspection.get(row.inspection_id) ?? []), findingFrom(row)]);
  return visits.map((row) => ({
    inspection: inspectionFrom(row),
    findings: byInspection.get(row.id) ?? [],
    acts: acts.filter((act) => act.inspection_id === row.id).map(actFrom),
    inspector: row.inspector,
    signedBy: row.signed_by_name,
  }));
}

function inspectionFrom(row: VisitRow): Inspection {
  return {
    id: row.id,
    vehicleId: row.vehicle_id,
    startedAt: row.started_at,
    meter: row.meter,
    meterAnswer: row.meter_answer,
    complaint: row.complaint,
    state: row.state,
    stoodH: row.stood_h,
    fuel: row.fuel,
    corners: row.corners,
    ambientC: row.ambient_c,
    load: row.load,
    rulebook: row.rulebook,
    template: row.template,
    focus: row.focus,
    catalogueVersion: row.catalogue_version,
    signedAt: row.signed_at,
    ahead: row.ahead,
    signedOver: row.signed_over,
  };
}
