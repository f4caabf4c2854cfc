-- The last change of a vehicle's life that took effect, by its id: a device fetches only lives it has another one of.
-- Empty where none is known: then it is fetched.
alter table vehicle add column version text not null default '';
