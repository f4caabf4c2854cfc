-- What a visit was signed with, as one document that nothing later changes; visits signed before get theirs at the next start.
-- A visit that is given up is kept and counts nowhere.
alter table inspection
  add column sheet jsonb,
  add column voided_at timestamptz,
  add column voided_by uuid references person (id),
  add column voided_why text;

-- How a vehicle stands over all its visits, for the yard.
alter table vehicle add column standing jsonb;

-- An entry made to a visit that was signed: the entry is a finding like the others, here is why, and which grades came out otherwise.
create table amendment (
  id uuid primary key,
  inspection_id uuid not null references inspection (id),
  made_at timestamptz not null,
  made_by uuid not null references person (id),
  why text not null check (why <> ''),
  finding_id uuid not null unique references finding (id),
  points jsonb not null
);
create index amendment_by_visit on amendment (inspection_id);
