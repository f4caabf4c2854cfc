-- What happens to a vehicle besides its visits: parts fitted and moved, fuel, top-ups, the meter, jobs done. Appended, never changed.
create table life_entry (
  id uuid primary key,
  vehicle_id uuid not null references vehicle (id),
  kind text not null,
  done_at timestamptz not null,
  meter double precision check (meter >= 0),
  made_by uuid not null references person (id),
  made_at timestamptz not null,
  body jsonb not null
);
create index life_entry_by_vehicle on life_entry (vehicle_id, done_at);

-- Every forecast as it was shown when a visit was signed, to be judged when the truth comes.
create table forecast (
  inspection_id uuid not null references inspection (id),
  series text not null,
  body jsonb not null,
  primary key (inspection_id, series)
);

-- What the fleet teaches each forecast; the newest counts.
create table fleet_knowledge (
  learned_at timestamptz primary key,
  body jsonb not null
);

-- An entry stands while nobody has said something over it.
create index if not exists finding_by_parent on finding (parent);
