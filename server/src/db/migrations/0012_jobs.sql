-- A job tells where it was done, what went in, and which paper says so; those written down before told none of it.
update life_entry set body = '{"place": "", "litres": null, "numbers": "", "paper": ""}'::jsonb || body where kind = 'job';

-- It was asked when a job was last done, and nobody knows.
alter table life_entry drop constraint life_entry_kind;
alter table life_entry add constraint life_entry_kind
  check (kind in ('fit', 'rotate', 'misread', 'fuel', 'top-up', 'meter', 'job', 'not-known', 'plan', 'undo'));
