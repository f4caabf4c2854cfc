import { cataloguePoint, type Finding } from '@weskopos/core';
import type { Engine } from '../db/engine';
import { operationValues, type Applied } from '../operations/applyChange';
import type { Change } from '../operations/change';

/**
 * Appends one entry to a visit that is still open. One statement, so one transaction and one trip to the database:
 * this is the change that happens hundreds of times a visit.
 */
export async function putFinding(engine: Engine, change: Change, finding: Finding): Promise<Applied> {
  const { leak } = finding;
  const [applied] = await engine.query<NonNullable<Applied>>(
    `with target as (
       select i.signed_at, $11 = '' or coalesce(
         (v.axles -> (left($11, 1)::integer - 1)) is not null
         and (right($11, 1) in ('o', 'i')) = ((v.axles -> (left($11, 1)::integer - 1) ->> 'dual')::boolean and $25::boolean), false) as has_place
       from inspection i join vehicle v on v.id = i.vehicle_id where i.id = $8::uuid
     ), op as (
       insert into operation (id, kind, person_id, device, made_at, received_at, refusal)
       select $1::uuid, $2, $3::uuid, $4, $5::timestamptz, $6::timestamptz,
         case when not exists (select 1 from target) then 'no-inspection'
              when exists (select 1 from finding where id = $7::uuid) then 'already-there'
              when (select signed_at from target) is not null then 'already-signed'
              when not (select has_place from target) then 'no-place'
              when $9::uuid is not null and not exists (
                select 1 from finding where id = $9::uuid and inspection_id = $8::uuid and point = $10 and place = $11) then 'no-parent' end
       on conflict (id) do nothing
       returning refusal
     ), put as (
       insert into finding (id, inspection_id, parent, point, place, access, access_reason, words,
         leak_stage, leak_fluid, leak_place, leak_reaches, leak_wiped, note, kept, made_at, made_by)
       select $7::uuid, $8::uuid, $9::uuid, $10, $11, $12, $13, $14::jsonb,
         $15, $16, $17, $18, $19::boolean, $20, $21::jsonb, $22::timestamptz, $3::uuid
       from op where refusal is null
       returning id
     ), readings as (
       insert into reading (finding_id, measure, spot, phase, n, value)
       select put.id, r.measure, r.spot, r.phase, r.n, r.value
       from put, jsonb_to_recordset($23::jsonb) as r (measure text, spot text, phase text, n integer, value float8)
     ), photos as (
       insert into finding_photo (finding_id, photo_id, position)
       select put.id, p.photo::uuid, p.position from put, jsonb_array_elements_text($24::jsonb) with ordinality as p (photo, position)
       on conflict do nothing
     )
     select refusal from op`,
    [
      ...operationValues(change),
      finding.id,
      finding.inspectionId,
      finding.parent,
      finding.point,
      finding.place,
      finding.access,
      finding.accessReason,
      JSON.stringify(finding.words),
      leak?.stage ?? null,
      leak?.fluid ?? null,
      leak?.place ?? null,
      leak?.reaches ?? null,
      leak?.wiped ?? null,
      finding.note,
      JSON.stringify(finding.kept),
      finding.at,
      JSON.stringify(
        finding.readings.flatMap(({ measure, spot, phase, values }) =>
          values.map((value, n) => ({ measure, spot, phase, n, value })),
        ),
      ),
      JSON.stringify(finding.photos),
      cataloguePoint(finding.point).repeats === 'tyre',
    ],
  );
  return applied;
}
