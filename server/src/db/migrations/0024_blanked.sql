-- What was told of a keeper can be taken out of signed texts: by a text of its own, signed behind all others of the vehicle.
alter table signature drop constraint signature_kind_check;
alter table signature add constraint signature_kind_check check (kind in ('visit', 'amendment', 'void', 'restore', 'blank'));
