create table person (
  id uuid primary key,
  name text not null check (length(name) between 1 and 60),
  role text not null check (role in ('inspector', 'lead')),
  secret_hash text not null,
  created_at timestamptz not null
);
create unique index person_name on person (lower(name));

create table session (
  token_hash text primary key,
  person_id uuid not null references person (id),
  expires_at timestamptz not null
);

-- Every change that was ever accepted, by the id its device gave it; refused ones keep why.
create table operation (
  id uuid primary key,
  kind text not null,
  person_id uuid references person (id),
  device text not null,
  made_at timestamptz not null,
  received_at timestamptz not null,
  refusal text
);

create table vehicle (
  id uuid primary key,
  fleet_code text not null unique,
  plate text not null,
  make text not null,
  model text not null,
  year integer not null check (year between 1900 and 2100),
  class text not null,
  use text not null,
  axles jsonb not null
);

create table inspection (
  id uuid primary key,
  vehicle_id uuid not null references vehicle (id),
  started_at timestamptz not null,
  started_by uuid not null references person (id),
  meter_km double precision not null check (meter_km >= 0),
  meter_answer text,
  complaint text not null,
  state text not null,
  ambient_c double precision check (ambient_c between -60 and 60),
  limit_sheet text not null,
  catalogue_version integer not null,
  signed_at timestamptz,
  signed_by uuid references person (id),
  grade text,
  counts jsonb,
  check ((signed_at is null) = (signed_by is null)),
  check ((signed_at is null) = (grade is null))
);
create index inspection_by_vehicle on inspection (vehicle_id, started_at);

-- Append only: a later look is a new row that names its parent.
create table finding (
  id uuid primary key,
  inspection_id uuid not null references inspection (id),
  parent uuid references finding (id),
  point text not null,
  place text not null,
  access text not null,
  access_reason text,
  words jsonb not null,
  leak_stage text,
  leak_fluid text,
  leak_place text,
  leak_reaches text,
  leak_wiped boolean,
  note text not null,
  kept jsonb not null,
  made_at timestamptz not null,
  made_by uuid not null references person (id),
  check ((leak_stage is null) = (leak_fluid is null))
);
create index finding_by_inspection on finding (inspection_id);

create table reading (
  finding_id uuid not null references finding (id),
  measure text not null,
  spot text not null,
  phase text not null check (phase in ('found', 'left')),
  n integer not null,
  value double precision not null,
  primary key (finding_id, spot, phase, n)
);

create table photo (
  id uuid primary key,
  sha256 text not null,
  width integer not null check (width > 0),
  height integer not null check (height > 0),
  bytes integer not null,
  added_by uuid not null references person (id),
  added_at timestamptz not null
);

-- No foreign key to photo: a finding may arrive before its picture, and stays when the picture is refused.
create table finding_photo (
  finding_id uuid not null references finding (id),
  photo_id uuid not null,
  position integer not null,
  primary key (finding_id, photo_id)
);
