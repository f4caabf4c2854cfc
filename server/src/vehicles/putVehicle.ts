import type { Vehicle } from '@weskopos/core';
import type { Engine } from '../db/engine';
import { DatabaseError } from '../db/pgliteEngine';
import { operationValues, type Applied } from '../operations/applyChange';
import type { Change } from '../operations/change';

const UNIQUE_VIOLATION = '23505';

/** Adds a vehicle or writes its sheet anew. A fleet code that another vehicle has is refused. */
export async function putVehicle(engine: Engine, change: Change, vehicle: Vehicle): Promise<Applied> {
  const values = [
    ...operationValues(change),
    vehicle.id,
    vehicle.fleetCode,
    vehicle.plate,
    vehicle.make,
    vehicle.model,
    vehicle.year,
    vehicle.class,
    vehicle.use,
    JSON.stringify(vehicle.axles),
    vehicle.vin,
    vehicle.meterUnit,
    JSON.stringify(vehicle.makeUp),
    JSON.stringify(vehicle.spec),
  ];
  try {
    const [applied] = await engine.query<{ refusal: null }>(
      `with op as (
         insert into operation (id, kind, person_id, device, made_at, received_at, refusal)
         select $1::uuid, $2, $3::uuid, $4, $5::timestamptz, $6::timestamptz,
           case when exists (select 1 from vehicle where fleet_code = $8 and id <> $7::uuid) then 'fleet-code-taken' end
         on conflict (id) do nothing
         returning refusal
       ), put as (
         insert into vehicle (id, fleet_code, plate, make, model, year, class, use, axles, vin, meter_unit, make_up, spec)
         select $7::uuid, $8, $9, $10, $11, $12::integer, $13, $14, $15::jsonb, $16, $17, $18::jsonb, $19::jsonb from op where refusal is null
         on conflict (id) do update set fleet_code = excluded.fleet_code, plate = excluded.plate, make = excluded.make,
           model = excluded.model, year = excluded.year, class = excluded.class, use = excluded.use, axles = excluded.axles,
           vin = excluded.vin, meter_unit = excluded.meter_unit, make_up = excluded.make_up, spec = excluded.spec
       )
       select refusal from op`,
      values,
    );
    return applied;
  } catch (error) {
    // Two devices taking one code at once on a server with several connections: the constraint has the last word.
    if (
      error instanceof DatabaseError &&
      error.code === UNIQUE_VIOLATION &&
      error.constraint === 'vehicle_fleet_code_key'
    )
      return { refusal: 'fleet-code-taken' };
    throw error;
  }
}
