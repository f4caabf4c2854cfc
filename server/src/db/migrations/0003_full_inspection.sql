-- The whole catalogue: several measures, leaks, counts and codes on one point, rules with versions, spec sheets.
create table rulebook (
  version integer primary key check (version > 0),
  body jsonb not null,
  made_by uuid not null references person (id),
  made_at timestamptz not null
);

alter table vehicle add column vin text not null default '';
alter table vehicle add column meter_unit text not null default 'km' check (meter_unit in ('km', 'h'));
alter table vehicle add column make_up jsonb not null default '{"power":"diesel","steering":"hydraulic","gearbox":"manual","drive":"front","spareWheel":true,"passengerLift":false,"towbar":false,"urea":false,"timingBelt":true,"hydraulicClutch":true,"winterTyres":false}';
alter table vehicle add column spec jsonb not null default '{"systemVolts":12,"smartCharging":false,"battery":{"type":"flooded","ratedA":null,"standard":null},"brakeFluid":null,"stickSpanL":null,"studs":null,"fluids":[],"torques":[],"intervals":[],"parts":[],"hardUse":false}';
update vehicle set axles = (
  select jsonb_agg(
    '{"steered":false,"driven":false,"placardFullKpa":null,"discMinimumMm":null,"liningNewMm":null,"tyreSize":""}'::jsonb || a.axle
    order by a.n)
  from jsonb_array_elements(axles) with ordinality a (axle, n)
);

alter table inspection rename column meter_km to meter;
alter table inspection add column load text not null default 'light' check (load in ('light', 'full'));
alter table inspection add column rulebook integer not null default 0 check (rulebook >= 0);
alter table inspection add column template text not null default 'first-fourteen';
alter table inspection add column focus jsonb;
alter table inspection drop column limit_sheet;

create table leak (
  finding_id uuid not null references finding (id),
  n integer not null,
  stage text not null,
  fluid text not null,
  place text,
  reaches text not null,
  wiped boolean not null,
  drops_per_minute double precision check (drops_per_minute >= 0),
  only_running boolean,
  primary key (finding_id, n)
);
insert into leak (finding_id, n, stage, fluid, place, reaches, wiped)
  select id, 0, leak_stage, leak_fluid, leak_place, leak_reaches, leak_wiped from finding where leak_stage is not null;
alter table finding drop column leak_stage;
alter table finding drop column leak_fluid;
alter table finding drop column leak_place;
alter table finding drop column leak_reaches;
alter table finding drop column leak_wiped;

create table item_count (
  finding_id uuid not null references finding (id),
  item text not null,
  good integer not null check (good >= 0),
  of_all integer not null check (of_all > 0),
  primary key (finding_id, item),
  check (good <= of_all)
);

create table fault_code (
  finding_id uuid not null references finding (id),
  n integer not null,
  code text not null,
  words text not null,
  state text not null,
  primary key (finding_id, n)
);

alter table finding add column how_read text;
alter table finding add column standard text;
alter table finding add column override_grade text;
alter table finding add column override_reason text;
alter table finding add column carried_at date;
alter table finding add column carried_from text;
alter table finding add column in_one_stroke boolean not null default false;
alter table finding add constraint finding_override check ((override_grade is null) = (override_reason is null));
alter table finding add constraint finding_carried check ((carried_at is null) = (carried_from is null));

-- One point may be read by several measures at one spot: a disc’s thickness and its lip.
alter table reading add column bound text not null default 'exact' check (bound in ('exact', 'over', 'under'));
alter table reading drop constraint reading_pkey;
alter table reading add primary key (finding_id, measure, spot, phase, n);

alter table finding_photo add column caption text not null default '';
alter table finding_photo add column marks jsonb not null default '[]';

create or replace function put_finding(
  operation_id uuid, operation_kind text, person uuid, device_name text, made timestamptz, received timestamptz,
  entry jsonb, per_tyre boolean
) returns table (refusal text) language plpgsql as $$
declare
  entry_id uuid := (entry ->> 'id')::uuid;
  visit uuid := (entry ->> 'inspectionId')::uuid;
  parent_id uuid := (entry ->> 'parent')::uuid;
  spot text := entry ->> 'place';
  given jsonb := nullif(entry -> 'override', 'null'::jsonb);
  carried jsonb := nullif(entry -> 'carried', 'null'::jsonb);
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
    insert into finding (id, inspection_id, parent, point, place, access, access_reason, words, note, kept, made_at, made_by,
      how_read, standard, override_grade, override_reason, carried_at, carried_from, in_one_stroke)
      values (entry_id, visit, parent_id, entry ->> 'point', spot, entry ->> 'access', entry ->> 'accessReason', entry -> 'words',
        entry ->> 'note', entry -> 'kept', (entry ->> 'at')::timestamptz, person,
        entry ->> 'howRead', entry ->> 'standard', given ->> 'grade', given ->> 'reason',
        (carried ->> 'at')::date, carried ->> 'from', (entry ->> 'inOneStroke')::boolean);
    insert into reading (finding_id, measure, spot, phase, n, value, bound)
      select entry_id, r ->> 'measure', r ->> 'spot', r ->> 'phase', v.n - 1, v.value::float8, r ->> 'bound'
      from jsonb_array_elements(entry -> 'readings') r, jsonb_array_elements_text(r -> 'values') with ordinality v (value, n);
    -- Most entries have none of these, and a statement that inserts nothing still costs its start.
    if jsonb_array_length(entry -> 'leaks') > 0 then
      insert into leak (finding_id, n, stage, fluid, place, reaches, wiped, drops_per_minute, only_running)
        select entry_id, l.n - 1, l.leak ->> 'stage', l.leak ->> 'fluid', l.leak ->> 'place', l.leak ->> 'reaches',
          (l.leak ->> 'wiped')::boolean, (l.leak ->> 'dropsPerMinute')::float8, (l.leak ->> 'onlyRunning')::boolean
        from jsonb_array_elements(entry -> 'leaks') with ordinality l (leak, n);
    end if;
    if jsonb_array_length(entry -> 'counts') > 0 then
      insert into item_count (finding_id, item, good, of_all)
        select entry_id, c ->> 'item', (c ->> 'good')::integer, (c ->> 'of')::integer
        from jsonb_array_elements(entry -> 'counts') c on conflict do nothing;
    end if;
    if jsonb_array_length(entry -> 'codes') > 0 then
      insert into fault_code (finding_id, n, code, words, state)
        select entry_id, c.n - 1, c.code ->> 'code', c.code ->> 'text', c.code ->> 'state'
        from jsonb_array_elements(entry -> 'codes') with ordinality c (code, n);
    end if;
    if jsonb_array_length(entry -> 'photos') > 0 then
      insert into finding_photo (finding_id, photo_id, position, caption, marks)
        select entry_id, (p.photo ->> 'id')::uuid, p.n, p.photo ->> 'caption', p.photo -> 'marks'
        from jsonb_array_elements(entry -> 'photos') with ordinality p (photo, n)
        on conflict do nothing;
    end if;
  end if;
  return query select why;
end
$$;
