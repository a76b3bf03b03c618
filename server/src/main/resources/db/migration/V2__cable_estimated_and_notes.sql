-- A length that nobody entered is estimated from the positions of the zones.
alter table leg alter column cable_metres drop not null;
update leg set cable_metres = null where cable_metres = 0;

alter table controller add column note varchar(400) default '' not null;
