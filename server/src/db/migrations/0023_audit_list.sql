-- Who did what when, of what only some may do and of what leaves no record of its own. Nothing here is ever changed.
create table audit (
  id uuid primary key,
  at timestamptz not null,
  kind text not null,
  person_id uuid references person (id),
  -- The person, visit or vehicle it was done to; null where it is none.
  subject uuid,
  about text not null
);
create index audit_by_time on audit (at desc, id);
-- Programs that come in by a token: known by its hash.
create table machine_token (
  id uuid primary key,
  name text not null,
  scope text not null check (scope in ('read', 'write')),
  token_hash text not null unique,
  given_by uuid not null references person (id),
  given_at timestamptz not null,
  ended_at timestamptz
);
