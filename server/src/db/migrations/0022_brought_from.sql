-- The table a visit was brought in from; null for those that were made here.
alter table inspection add column brought_from text;
