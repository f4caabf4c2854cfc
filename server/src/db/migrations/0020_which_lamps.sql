-- Which of several lamps of a kind are out; nobody said which before.
alter table item_count add column out_spots jsonb not null default '[]';
