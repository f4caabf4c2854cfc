-- Number of the journal's last line whose effect this database holds: one row, moved in the same transaction as the effect.
create table ledger (
  one boolean primary key default true check (one),
  position bigint not null check (position >= 0)
);
insert into ledger (position) values (0);

-- What is judged before an entry is taken is judged in the program; what is written is plain inserts.
drop function put_finding_out_of_condition;
drop function put_finding;
drop function put_act;

-- Places and closed vocabularies that never grow; those that do are checked by the program that knows them.
alter table finding add constraint finding_place check (place ~ '^([1-4]([LR][oi]?)?)?$');
alter table finding add constraint finding_access check (access in ('seen', 'partly', 'not-reached', 'open'));
alter table finding add constraint finding_grade check (override_grade in ('pass', 'advisory', 'fail'));
alter table finding add constraint finding_from check (carried_from in ('visit', 'job'));
alter table act add constraint act_place check (place ~ '^([1-4]([LR][oi]?)?)?$');
alter table inspection add constraint inspection_grade check (grade in ('pass', 'advisory', 'fail', 'recorded', 'not-seen'));
alter table life_entry add constraint life_entry_kind check (kind in ('fit', 'rotate', 'misread', 'fuel', 'top-up', 'meter', 'job', 'plan', 'undo'));
