-- Where power comes from.
create table mains_circuit (
  display_id varchar(64) not null references display (id) on delete cascade,
  id varchar(64) not null,
  place int not null,
  name varchar(80) not null,
  volts double precision not null,
  amps double precision not null,
  other_watts double precision not null,
  primary key (display_id, id)
);

create table supply (
  display_id varchar(64) not null references display (id) on delete cascade,
  id varchar(64) not null,
  place int not null,
  name varchar(80) not null,
  zone_id varchar(64),
  volts double precision not null,
  amps double precision not null,
  mains_id varchar(64),
  efficiency_percent int,
  primary key (display_id, id),
  foreign key (display_id, zone_id) references zone (display_id, id),
  foreign key (display_id, mains_id) references mains_circuit (display_id, id)
);

create table powered_input (
  display_id varchar(64) not null references display (id) on delete cascade,
  controller_id varchar(64) not null,
  -- 0 for the controller itself
  bank int not null,
  input int not null,
  supply_id varchar(64) not null,
  primary key (display_id, controller_id, bank, input),
  foreign key (display_id, controller_id) references controller (display_id, id),
  foreign key (display_id, supply_id) references supply (display_id, id)
);

create table feed (
  display_id varchar(64) not null references display (id) on delete cascade,
  piece_id varchar(64) not null,
  place int not null,
  supply_id varchar(64) not null,
  position int not null,
  lead_metres double precision,
  gauge varchar(20),
  fuse_amps double precision,
  primary key (display_id, piece_id, place),
  foreign key (display_id, piece_id) references leg (display_id, piece_id),
  foreign key (display_id, supply_id) references supply (display_id, id)
);

-- A string's wires, as far as somebody entered them.
alter table piece add column gauge varchar(20);
alter table piece add column spacing_metres double precision;
alter table piece add column data_only boolean default false not null;
alter table piece add column connector_amps double precision;

alter table leg add column cable_gauge varchar(20);
-- Conductors that do not pass the joint before it, by name, with a space between.
alter table leg add column cut varchar(40) default '' not null;
