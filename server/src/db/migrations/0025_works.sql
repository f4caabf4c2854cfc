-- What is to be done at a vehicle, and what is said of it.
alter table life_entry drop constraint life_entry_kind;
alter table life_entry add constraint life_entry_kind
  check (kind in ('fit', 'rotate', 'misread', 'fuel', 'top-up', 'meter', 'job', 'not-known', 'plan', 'work', 'work-step', 'undo'));
create index life_entry_works on life_entry (vehicle_id) where kind = 'work';
