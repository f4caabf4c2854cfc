-- Calendars other programs may read, each opened by a token that is known by its hash.
create table calendar (
  id uuid primary key,
  shows text not null check (shows in ('workshop', 'person', 'vehicle')),
  vehicle_id uuid references vehicle (id),
  token_hash text not null unique,
  given_by uuid not null references person (id),
  given_at timestamptz not null,
  ended_at timestamptz,
  check ((shows = 'vehicle') = (vehicle_id is not null))
);
