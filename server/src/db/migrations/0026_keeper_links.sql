-- What keepers are told, opened by a link that is known by its hash.
create table keeper_link (
  id uuid primary key,
  vehicle_id uuid not null references vehicle (id),
  token_hash text not null unique,
  letter jsonb not null,
  given_by uuid not null references person (id),
  given_at timestamptz not null,
  until timestamptz not null,
  ended_at timestamptz
);
create index keeper_link_by_vehicle on keeper_link (vehicle_id, given_at desc);
