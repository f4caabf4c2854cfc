-- People who are kept out for a while, or have gone: their names stay on what they did.
alter table person add column state text not null default 'here' check (state in ('here', 'suspended', 'gone'));
-- A secret that was given out by a lead lets in once, until then, to choose one's own; null for one's own.
alter table person add column once_until timestamptz;
-- What a session is known by to people: never its token, nor the token's hash.
alter table session add column id uuid not null default gen_random_uuid();
alter table session add column opened_at timestamptz not null default now();
alter table session add column device text not null default '';
create unique index session_id on session (id);
