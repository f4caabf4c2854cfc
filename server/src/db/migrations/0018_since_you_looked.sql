-- When a person last looked at the yard, on whichever device; null before the first time.
alter table person add column looked_at timestamptz;
