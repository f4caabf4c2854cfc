-- How it looked when it came: photos of its corners, by id.
alter table inspection add column corners jsonb not null default '[]';
