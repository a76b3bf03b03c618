-- A length that nobody entered is estimated from the positions of the zones.
alter table leg alter column cable_metres drop not null;
update leg set cable_metres = null where cable_metres = 0;

alter table controller add column note varchar(400) default '' not null;

-- Risks and hints that somebody takes, word for word, so that they lapse when their numbers change.
create table accepted (
  display_id varchar(64) not null references display (id) on delete cascade,
  place int not null,
  code varchar(64) not null,
  message varchar(4000) not null,
  reason varchar(400) not null,
  primary key (display_id, place)
);
