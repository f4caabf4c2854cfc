-- What is done in a visit besides looking: states, opened and closed ends, fillings, waits, the gate. Appended, never changed.
create table act (
  id uuid primary key,
  inspection_id uuid not null references inspection (id),
  kind text not null check (kind in ('state', 'gate', 'gate-override', 'open', 'close', 'fill', 'wait', 'wait-done')),
  made_at timestamptz not null,
  made_by uuid not null references person (id),
  -- The end that is closed or filled, the wait that is done.
  refers uuid references act (id),
  -- The state change, the gate's question, the kind of end or wait.
  subject text,
  place text not null default '',
  answer boolean,
  reason text,
  length_s double precision check (length_s > 0),
  litres double precision check (litres > 0),
  fasteners integer check (fasteners >= 0),
  torque_nm double precision check (torque_nm > 0),
  level double precision,
  washer text check (washer in ('new', 'reused')),
  old_seal_seen boolean,
  on_ground boolean,
  kept jsonb not null default '[]',
  note text not null default '',
  check ((kind in ('close', 'fill', 'wait-done')) = (refers is not null))
);
create index act_of_inspection on act (inspection_id);
create index act_refers on act (refers);

alter table inspection add column stood_h double precision check (stood_h >= 0);
alter table inspection add column fuel double precision check (fuel between 0 and 1);
alter table inspection add column signed_over text;
alter table finding add column out_of jsonb not null default '[]';

-- An entry read in a state its point does not allow: the same as ever, with the states beside it.
create function put_finding_out_of_condition(
  operation_id uuid, operation_kind text, person uuid, device_name text, made timestamptz, received timestamptz,
  entry jsonb, per_tyre boolean
) returns table (refusal text) language plpgsql as $$
declare
  why text;
begin
  select p.refusal into why from put_finding(operation_id, operation_kind, person, device_name, made, received, entry, per_tyre) p;
  if not found then
    return;
  end if;
  if why is null then
    update finding set out_of = entry -> 'outOf' where id = (entry ->> 'id')::uuid;
  end if;
  refusal := why;
  return next;
end $$;

-- Appends one act to a visit that is still open: one statement, so one transaction and one trip to the database.
create function put_act(
  operation_id uuid, operation_kind text, person uuid, device_name text, made timestamptz, received timestamptz, entry jsonb
) returns table (refusal text) language plpgsql as $$
declare
  visit uuid := (entry ->> 'inspectionId')::uuid;
  target uuid := coalesce(entry ->> 'opens', entry ->> 'waits')::uuid;
  what text := entry ->> 'kind';
  proof jsonb := coalesce(entry -> 'proof', '{}');
  signed timestamptz;
  why text;
begin
  select i.signed_at into signed from inspection i where i.id = visit for share of i;
  if not found then
    why := 'no-inspection';
  elsif exists (select 1 from act a where a.id = (entry ->> 'id')::uuid) then
    why := 'already-there';
  elsif signed is not null then
    why := 'already-signed';
  elsif target is not null and not exists (
    select 1 from act a
    where a.id = target and a.inspection_id = visit and a.kind = case what when 'wait-done' then 'wait' else 'open' end
  ) then
    why := 'no-end';
  elsif what = 'gate-override' and not exists (select 1 from person p where p.id = person and p.role = 'lead') then
    why := 'lead-only';
  end if;

  insert into operation (id, kind, person_id, device, made_at, received_at, refusal)
    values (operation_id, operation_kind, person, device_name, made, received, why)
    on conflict (id) do nothing;
  if not found then
    return;
  end if;

  if why is null then
    insert into act (id, inspection_id, kind, made_at, made_by, refers, subject, place, answer, reason, length_s, litres, fasteners,
      torque_nm, level, washer, old_seal_seen, on_ground, kept, note)
      values ((entry ->> 'id')::uuid, visit, what, (entry ->> 'at')::timestamptz, person, target,
        coalesce(entry ->> 'change', entry ->> 'question', entry ->> 'end', entry ->> 'wait'),
        coalesce(entry ->> 'place', ''), (entry ->> 'answer')::boolean, entry ->> 'reason', (entry ->> 'lengthS')::float8,
        coalesce(entry ->> 'litres', proof ->> 'litres')::float8,
        coalesce(entry ->> 'fasteners', proof ->> 'fasteners')::integer, (proof ->> 'torqueNm')::float8,
        (proof ->> 'level')::float8, proof ->> 'washer', (proof ->> 'oldSealSeen')::boolean,
        (proof ->> 'onGround')::boolean, coalesce(proof -> 'kept', '[]'), coalesce(proof ->> 'note', ''));
  end if;
  refusal := why;
  return next;
end $$;
