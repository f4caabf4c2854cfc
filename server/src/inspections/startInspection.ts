import type { Inspection } from '@weskopos/core';
import type { Engine } from '../db/engine';
import { operationValues, type Applied } from '../operations/applyChange';
import type { Change } from '../operations/change';

/** Begins a visit to a vehicle that is known. */
export async function startInspection(engine: Engine, change: Change, inspection: Inspection): Promise<Applied> {
  const [applied] = await engine.query<NonNullable<Applied>>(
    `with op as (
       insert into operation (id, kind, person_id, device, made_at, received_at, refusal)
       select $1::uuid, $2, $3::uuid, $4, $5::timestamptz, $6::timestamptz,
         case when not exists (select 1 from vehicle where id = $8::uuid) then 'no-vehicle'
              when exists (select 1 from inspection where id = $7::uuid) then 'already-there' end
       on conflict (id) do nothing
       returning refusal
     ), put as (
       insert into inspection (id, vehicle_id, started_at, started_by, meter, meter_answer, complaint, state, ambient_c, catalogue_version, load, rulebook, template, focus, stood_h, fuel, corners)
       select $7::uuid, $8::uuid, $9::timestamptz, $3::uuid, $10::float8, $11, $12, $13, $14::float8, $15::integer, $16, $17::integer, $18, $19::jsonb, $20::float8, $21::float8, $22::jsonb from op where refusal is null
     )
     select refusal from op`,
    [
      ...operationValues(change),
      inspection.id,
      inspection.vehicleId,
      inspection.startedAt,
      inspection.meter,
      inspection.meterAnswer,
      inspection.complaint,
      inspection.state,
      inspection.ambientC,
      inspection.catalogueVersion,
      inspection.load,
      inspection.rulebook,
      inspection.template,
      inspection.focus && JSON.stringify(inspection.focus),
      inspection.stoodH,
      inspection.fuel,
      JSON.stringify(inspection.corners),
    ],
  );
  return applied;
}
