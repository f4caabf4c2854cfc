-- What was signed, as the text that was signed: chained over all that was signed of a vehicle, each with the workshop's key.
create table signing_key (
  id text primary key,
  pem text not null
);
create table signature (
  hash text primary key check (length(hash) = 64),
  vehicle_id uuid not null references vehicle (id),
  -- Counts the vehicle's signatures. Two of one number are a fork: both were signed behind the same one.
  n integer not null check (n > 0),
  previous text,
  kind text not null check (kind in ('visit', 'amendment', 'void', 'restore')),
  subject uuid not null,
  document text not null,
  key text not null references signing_key (id),
  value text not null,
  check ((previous is null) = (n = 1))
);
create index signature_by_vehicle on signature (vehicle_id, n);
create index signature_by_subject on signature (subject);
