-- One installation being planned. Everything below belongs to one.
create table display (
  id varchar(64) primary key,
  version int not null,
  name varchar(80) not null,
  first_universe int not null,
  universe_stride int not null,
  frames_per_second int not null
);

-- What does not ship with Hamper travels with the display, as one document each.
create table own_model (
  display_id varchar(64) not null references display (id) on delete cascade,
  id varchar(64) not null,
  place int not null,
  content varchar(1000000) not null,
  primary key (display_id, id)
);

create table own_pixel_type (
  display_id varchar(64) not null references display (id) on delete cascade,
  id varchar(64) not null,
  place int not null,
  content varchar(10000) not null,
  primary key (display_id, id)
);

create table subnet (
  display_id varchar(64) not null references display (id) on delete cascade,
  id varchar(64) not null,
  place int not null,
  name varchar(80) not null,
  network varchar(15) not null,
  prefix int not null,
  dhcp_first varchar(15),
  dhcp_last varchar(15),
  primary key (display_id, id)
);

create table zone (
  display_id varchar(64) not null references display (id) on delete cascade,
  id varchar(64) not null,
  place int not null,
  name varchar(80) not null,
  east_metres double precision,
  north_metres double precision,
  primary key (display_id, id)
);

create table prop (
  display_id varchar(64) not null references display (id) on delete cascade,
  id varchar(64) not null,
  place int not null,
  name varchar(80) not null,
  zone_id varchar(64),
  brightness int,
  primary key (display_id, id),
  foreign key (display_id, zone_id) references zone (display_id, id)
);

create table piece (
  display_id varchar(64) not null references display (id) on delete cascade,
  id varchar(64) not null,
  prop_id varchar(64) not null,
  place int not null,
  kind varchar(10) not null
    check (kind in ('string', 'circuit', 'fixture', 'decoder', 'dimmer', 'wall')),
  name varchar(80) not null,
  pixel_type varchar(64),
  data_in varchar(40),
  connector varchar(40),
  lead_metres double precision,
  -- what only this kind of piece has, other than strings, as one document
  detail varchar(100000),
  primary key (display_id, id),
  foreign key (display_id, prop_id) references prop (display_id, id)
);

create table section (
  display_id varchar(64) not null references display (id) on delete cascade,
  piece_id varchar(64) not null,
  place int not null,
  pixels int not null check (pixels > 0),
  null_pixels int not null,
  group_size int not null check (group_size > 0),
  fold int,
  backward boolean not null,
  colour_order varchar(6),
  brightness int,
  hold_universe int,
  hold_channel int,
  primary key (display_id, piece_id, place),
  foreign key (display_id, piece_id) references piece (display_id, id)
);

create table controller (
  display_id varchar(64) not null references display (id) on delete cascade,
  id varchar(64) not null,
  place int not null,
  tag varchar(8) not null,
  name varchar(80) not null,
  model varchar(64) not null,
  mode varchar(80),
  protocol varchar(10) not null,
  transport varchar(10) not null,
  address varchar(15),
  first_universe int,
  universe_size int not null,
  packing varchar(20),
  port_start varchar(20),
  reserve_universes int not null,
  reserve_channels int not null,
  brightness int,
  source_id varchar(64),
  zone_id varchar(64),
  inputs_by_hand boolean not null,
  from_storage boolean not null,
  backup_id varchar(64),
  full_universes boolean not null,
  synchronization int,
  host_name varchar(80) not null,
  primary key (display_id, id),
  foreign key (display_id, zone_id) references zone (display_id, id)
);

create table controller_input (
  display_id varchar(64) not null references display (id) on delete cascade,
  controller_id varchar(64) not null,
  place int not null,
  first_universe int not null,
  universes int not null,
  size int not null,
  primary key (display_id, controller_id, place),
  foreign key (display_id, controller_id) references controller (display_id, id)
);

create table adapter (
  display_id varchar(64) not null references display (id) on delete cascade,
  controller_id varchar(64) not null,
  place int not null,
  name varchar(80) not null,
  address varchar(15) not null,
  primary key (display_id, controller_id, place),
  foreign key (display_id, controller_id) references controller (display_id, id)
);

create table bank_cable (
  display_id varchar(64) not null references display (id) on delete cascade,
  controller_id varchar(64) not null,
  place int not null,
  bank int not null,
  box int not null,
  metres double precision not null,
  primary key (display_id, controller_id, place),
  foreign key (display_id, controller_id) references controller (display_id, id)
);

create table run (
  display_id varchar(64) not null references display (id) on delete cascade,
  controller_id varchar(64) not null,
  kind varchar(10) not null,
  port int not null,
  universe int,
  brightness int,
  primary key (display_id, controller_id, kind, port),
  foreign key (display_id, controller_id) references controller (display_id, id)
);

-- A piece hangs at most once: it is the key.
create table leg (
  display_id varchar(64) not null references display (id) on delete cascade,
  piece_id varchar(64) not null,
  controller_id varchar(64) not null,
  kind varchar(10) not null,
  port int not null,
  place int not null,
  null_pixels int not null,
  cable_metres double precision not null,
  box int,
  mirror_of varchar(64),
  primary key (display_id, piece_id),
  foreign key (display_id, piece_id) references piece (display_id, id),
  foreign key (display_id, controller_id, kind, port) references run (display_id, controller_id, kind, port),
  foreign key (display_id, mirror_of) references piece (display_id, id)
);

-- Only grows. Undo and redo append too.
create table edit_log (
  display_id varchar(64) not null references display (id) on delete cascade,
  version int not null,
  at timestamp with time zone not null,
  kind varchar(4) not null check (kind in ('EDIT', 'UNDO', 'REDO')),
  label varchar(400) not null,
  edit varchar(100000000) not null,
  inverse varchar(100000000) not null,
  primary key (display_id, version)
);
