import type { Engine } from '../db/engine';
import { operationValues, type Applied } from '../operations/applyChange';
import type { Change } from '../operations/change';

/** Notes a photo whose file is already on disk. */
export async function addPhoto(
  engine: Engine,
  change: Change,
  photo: { id: string; sha256: string; width: number; height: number; bytes: number },
): Promise<Applied> {
  const [applied] = await engine.query<NonNullable<Applied>>(
    `with op as (
       insert into operation (id, kind, person_id, device, made_at, received_at, refusal)
       select $1::uuid, $2, $3::uuid, $4, $5::timestamptz, $6::timestamptz, case when exists (select 1 from photo where id = $7::uuid) then 'already-there' end
       on conflict (id) do nothing
       returning refusal
     ), put as (
       insert into photo (id, sha256, width, height, bytes, added_by, added_at)
       select $7::uuid, $8, $9::integer, $10::integer, $11::integer, $3::uuid, $5::timestamptz from op where refusal is null
     )
     select refusal from op`,
    [...operationValues(change), photo.id, photo.sha256, photo.width, photo.height, photo.bytes],
  );
  return applied;
}
