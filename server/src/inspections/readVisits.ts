import type { StoredFinding, Visit } from '@weskopos/contract';
import type { Inspection, LeakObservation, Phase, Reading } from '@weskopos/core';
import type { Queries } from '../db/engine';

type VisitRow = { readonly inspector: string; readonly signed_by_name: string | null } & {
  readonly id: string;
  readonly vehicle_id: string;
  readonly started_at: string;
  readonly meter_km: number;
  readonly meter_answer: Inspection['meterAnswer'];
  readonly complaint: string;
  readonly state: Inspection['state'];
  readonly ambient_c: number | null;
  readonly limit_sheet: string;
  readonly catalogue_version: number;
  readonly signed_at: string | null;
};

interface FindingRow {
  readonly id: string;
  readonly inspection_id: string;
  readonly parent: string | null;
  readonly point: StoredFinding['point'];
  readonly place: string;
  readonly access: StoredFinding['access'];
  readonly access_reason: StoredFinding['accessReason'];
  readonly words: StoredFinding['words'];
  readonly leak_stage: LeakObservation['stage'] | null;
  readonly leak_fluid: LeakObservation['fluid'];
  readonly leak_place: LeakObservation['place'];
  readonly leak_reaches: LeakObservation['reaches'];
  readonly leak_wiped: boolean;
  readonly note: string;
  readonly kept: string[];
  readonly made_at: string;
  readonly by: string;
  readonly readings: {
    readonly measure: Reading['measure'];
    readonly spot: Reading['spot'];
    readonly phase: Phase;
    readonly values: number[];
  }[];
  readonly photos: string[];
}

/** Visits with all their entries, oldest first; `where` is one of our own conditions over `i` with `id` as $1. */
export async function readVisits(db: Queries, where: 'i.vehicle_id = $1' | 'i.id = $1', id: string): Promise<Visit[]> {
  const visits = await db.query<VisitRow>(
    `select i.*, p.name as inspector, s.name as signed_by_name
     from inspection i join person p on p.id = i.started_by left join person s on s.id = i.signed_by
     where ${where} order by i.started_at`,
    [id],
  );
  const findings = await db.query<FindingRow>(
    `select f.*, p.name as by,
       coalesce((select json_agg(json_build_object('measure', r.measure, 'spot', r.spot, 'phase', r.phase, 'values', r.values)) from (
         select measure, spot, phase, json_agg(value order by n) as values from reading where finding_id = f.id group by measure, spot, phase
       ) r), '[]'::json) as readings,
       coalesce((select json_agg(photo_id order by position) from finding_photo where finding_id = f.id), '[]'::json) as photos
     from finding f join inspection i on i.id = f.inspection_id join person p on p.id = f.made_by
     where ${where} order by f.made_at, f.id`,
    [id],
  );
  const byInspection = new Map<string, StoredFinding[]>();
  for (const row of findings)
    byInspection.set(row.inspection_id, [...(byInspection.get(row.inspection_id) ?? []), findingFrom(row)]);
  return visits.map((row) => ({
    inspection: inspectionFrom(row),
    findings: byInspection.get(row.id) ?? [],
    inspector: row.inspector,
    signedBy: row.signed_by_name,
  }));
}

function inspectionFrom(row: VisitRow): Inspection {
  return {
    id: row.id,
    vehicleId: row.vehicle_id,
    startedAt: row.started_at,
    meterKm: row.meter_km,
    meterAnswer: row.meter_answer,
    complaint: row.complaint,
    state: row.state,
    ambientC: row.ambient_c,
    limitSheet: row.limit_sheet,
    catalogueVersion: row.catalogue_version,
    signedAt: row.signed_at,
  };
}

function findingFrom(row: FindingRow): StoredFinding {
  return {
    id: row.id,
    inspectionId: row.inspection_id,
    parent: row.parent,
    point: row.point,
    place: row.place,
    access: row.access,
    accessReason: row.access_reason,
    readings: row.readings,
    words: row.words,
    leak: row.leak_stage && {
      stage: row.leak_stage,
      fluid: row.leak_fluid,
      place: row.leak_place,
      reaches: row.leak_reaches,
      wiped: row.leak_wiped,
    },
    note: row.note,
    photos: row.photos,
    kept: row.kept,
    at: row.made_at,
    by: row.by,
  };
}
