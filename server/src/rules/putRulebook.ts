import type { Rulebook } from '@weskopos/core';
import type { Engine } from '../db/engine';
import { operationValues, type Applied } from '../operations/applyChange';
import type { Change } from '../operations/change';

/**
 * Adds the next version of the workshop's rules; earlier ones stay for the visits made under them. Refused unless it
 * follows the newest: two leads editing at once do not overwrite each other.
 */
export async function putRulebook(engine: Engine, change: Change, rulebook: Rulebook): Promise<Applied> {
  const [applied] = await engine.query<NonNullable<Applied>>(
    `with op as (
       insert into operation (id, kind, person_id, device, made_at, received_at, refusal)
       select $1::uuid, $2, $3::uuid, $4, $5::timestamptz, $6::timestamptz,
         case when not exists (select 1 from person where id = $3::uuid and role = 'lead') then 'lead-only'
              when (select coalesce(max(version), 0) from rulebook) + 1 <> $7::integer then 'rules-changed' end
       on conflict (id) do nothing
       returning refusal
     ), put as (
       insert into rulebook (version, body, made_by, made_at)
       select $7::integer, $8::jsonb, $3::uuid, $5::timestamptz from op where refusal is null
     )
     select refusal from op`,
    [...operationValues(change), rulebook.version, JSON.stringify(rulebook)],
  );
  return applied;
}
