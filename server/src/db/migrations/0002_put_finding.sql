-- The change that happens hundreds of times a visit. A function keeps its plans: planned anew each time, the same
-- statement cost five times as much as running it. Gives no row when the operation was there before, else why it was refused.
create function put_finding(
  operation_id uuid, operation_kind text, person uuid, device_name text, made timestamptz, received timestamptz,
  entry jsonb, per_tyre boolean
) returns table (refusal text) language plpgsql as $$
declare
  entry_id uuid := (entry ->> 'id')::uuid;
  visit uuid := (entry ->> 'inspectionId')::uuid;
  parent_id uuid := (entry ->> 'parent')::uuid;
  spot text := entry ->> 'place';
  leak jsonb := nullif(entry -> 'leak', 'null'::jsonb);
  signed timestamptz;
  axle jsonb;
  why text;
begin
  select i.signed_at, case when spot <> '' then v.axles -> (left(spot, 1)::integer - 1) end into signed, axle
    from inspection i join vehicle v on v.id = i.vehicle_id where i.id = visit for share of i;
  if not found then
    why := 'no-inspection';
  elsif exists (select 1 from finding f where f.id = entry_id) then
    why := 'already-there';
  elsif signed is not null then
    why := 'already-signed';
  elsif spot <> '' and (axle is null or (right(spot, 1) in ('o', 'i')) <> ((axle ->> 'dual')::boolean and per_tyre)) then
    why := 'no-place';
  elsif parent_id is not null and not exists (
    select 1 from finding f
    where f.id = parent_id and f.inspection_id = visit and f.point = entry ->> 'point' and f.place = spot
  ) then
    why := 'no-parent';
  end if;

  insert into operation (id, kind, person_id, device, made_at, received_at, refusal)
    values (operation_id, operation_kind, person, device_name, made, received, why)
    on conflict (id) do nothing;
  if not found then
    return;
  end if;

  if why is null then
    insert into finding (id, inspection_id, parent, point, place, access, access_reason, words,
      leak_stage, leak_fluid, leak_place, leak_reaches, leak_wiped, note, kept, made_at, made_by)
      values (entry_id, visit, parent_id, entry ->> 'point', spot, entry ->> 'access', entry ->> 'accessReason', entry -> 'words',
        leak ->> 'stage', leak ->> 'fluid', leak ->> 'place', leak ->> 'reaches', (leak ->> 'wiped')::boolean,
        entry ->> 'note', entry -> 'kept', (entry ->> 'at')::timestamptz, person);
    insert into reading (finding_id, measure, spot, phase, n, value)
      select entry_id, r ->> 'measure', r ->> 'spot', r ->> 'phase', v.n - 1, v.value::float8
      from jsonb_array_elements(entry -> 'readings') r, jsonb_array_elements_text(r -> 'values') with ordinality v (value, n);
    insert into finding_photo (finding_id, photo_id, position)
      select entry_id, p.photo::uuid, p.n from jsonb_array_elements_text(entry -> 'photos') with ordinality p (photo, n)
      on conflict do nothing;
  end if;
  return query select why;
end
$$;
