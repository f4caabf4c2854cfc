import type { Role } from '@weskopos/contract';
import type { Engine } from '../db/engine';
import { operationValues, type Applied } from '../operations/applyChange';
import type { Change } from '../operations/change';

/** Adds a person. The name is refused as `already-there` when somebody has it, whatever the case of its letters. */
export async function addPerson(
  engine: Engine,
  change: Change,
  person: { id: string; name: string; role: Role; secretHash: string },
): Promise<Applied> {
  const [applied] = await engine.query<NonNullable<Applied>>(
    `with op as (
       insert into operation (id, kind, person_id, device, made_at, received_at, refusal)
       select $1::uuid, $2, $3::uuid, $4, $5::timestamptz, $6::timestamptz,
         case when exists (select 1 from person where lower(name) = lower($8)) then 'already-there' end
       on conflict (id) do nothing
       returning refusal
     ), put as (
       insert into person (id, name, role, secret_hash, created_at)
       select $7::uuid, $8, $9, $10, $5::timestamptz from op where refusal is null
     )
     select refusal from op`,
    [...operationValues(change), person.id, person.name, person.role, person.secretHash],
  );
  return applied;
}
