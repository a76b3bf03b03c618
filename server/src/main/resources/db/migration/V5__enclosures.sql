-- What is built together, and the network cables between.
create table enclosure (
  display_id varchar(64) not null references display (id) on delete cascade,
  id varchar(64) not null,
  place int not null,
  name varchar(80) not null,
  zone_id varchar(64),
  mains_id varchar(64),
  -- the ports of each network switch, with a space between
  switches varchar(100) not null,
  primary key (display_id, id),
  foreign key (display_id, zone_id) references zone (display_id, id),
  foreign key (display_id, mains_id) references mains_circuit (display_id, id)
);

create table link (
  display_id varchar(64) not null references display (id) on delete cascade,
  id varchar(64) not null,
  place int not null,
  name varchar(80) not null,
  from_id varchar(64) not null,
  to_id varchar(64) not null,
  kind varchar(20) not null,
  metres double precision,
  primary key (display_id, id),
  foreign key (display_id, from_id) references enclosure (display_id, id),
  foreign key (display_id, to_id) references enclosure (display_id, id)
);

alter table controller add column enclosure_id varchar(64);
alter table controller add foreign key (display_id, enclosure_id)
  references enclosure (display_id, id);

alter table supply add column enclosure_id varchar(64);
alter table supply add column leakage_milliamps double precision;
alter table supply add column switch_on_amps double precision;
alter table supply add foreign key (display_id, enclosure_id)
  references enclosure (display_id, id);

alter table mains_circuit add column breaker varchar(8);
alter table mains_circuit add column residual_milliamps double precision;

-- What its switches do with multicast, where somebody looked.
alter table subnet add column multicast varchar(20);
