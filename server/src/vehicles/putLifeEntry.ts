import type { LifeEntry } from '@weskopos/core';
import type { Engine } from '../db/engine';
import { operationValues, type Applied } from '../operations/applyChange';
import type { Change } from '../operations/change';

/** Appends an entry to a vehicle's life; an undo must name one of the same vehicle. */
export async function putLifeEntry(engine: Engine, change: Change, entry: LifeEntry): Promise<Applied> {
  const { id, vehicleId, kind, at, meter, ...body } = entry;
  const [applied] = await engine.query<NonNullable<Applied>>(
    `with op as (
       insert into operation (id, kind, person_id, device, made_at, received_at, refusal)
       select $1::uuid, $2, $3::uuid, $4, $5::timestamptz, $6::timestamptz,
         case when not exists (select 1 from vehicle where id = $8::uuid) then 'no-vehicle'
              when exists (select 1 from life_entry where id = $7::uuid) then 'already-there'
              when $13::uuid is not null and not exists (select 1 from life_entry where id = $13::uuid and vehicle_id = $8::uuid) then 'no-entry' end
       on conflict (id) do nothing
       returning refusal
     ), put as (
       insert into life_entry (id, vehicle_id, kind, done_at, meter, made_by, made_at, body)
       select $7::uuid, $8::uuid, $9, $10::timestamptz, $11::float8, $3::uuid, $5::timestamptz, $12::jsonb from op where refusal is null
     )
     select refusal from op`,
    [
      ...operationValues(change),
      id,
      vehicleId,
      kind,
      at,
      meter,
      JSON.stringify(body),
      entry.kind === 'undo' ? entry.refers : null,
    ],
  );
  return applied;
}
