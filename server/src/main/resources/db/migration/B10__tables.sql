-- The tables as they are now: what a new database begins with, in one step instead of ten (a
-- baseline, as Flyway calls it). The steps beside it lead databases of earlier versions to the same,
-- which a test compares; steps after it are taken by new ones too.

-- One installation being planned. Everything below belongs to one.
create table display (
  id varchar(64) primary key,
  version int not null,
  name varchar(80) not null,
  first_universe int not null,
  universe_stride int not null,
  frames_per_second int not null,
  -- a removed display is kept for a while
  removed_at timestamp,
  -- of two with one name people know the one they changed last
  changed_at timestamp default current_timestamp not null,
  keeps_still boolean,
  show_from varchar(5),
  show_to varchar(5),
  -- what the workshop goes by
  spares_percent int,
  allowance_percent int,
  -- the highest number that was ever given to a tag
  last_tag int default 0 not null
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
  -- what its switches do with multicast, where somebody looked
  multicast varchar(20),
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
  rank int,
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
  -- a string's wires, as far as somebody entered them
  gauge varchar(20),
  spacing_metres double precision,
  data_only boolean default false not null,
  connector_amps double precision,
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

-- Where power comes from: mains circuits, supplies on them, what they feed.
create table mains_circuit (
  display_id varchar(64) not null references display (id) on delete cascade,
  id varchar(64) not null,
  place int not null,
  name varchar(80) not null,
  volts double precision not null,
  amps double precision not null,
  other_watts double precision not null,
  breaker varchar(8),
  residual_milliamps double precision,
  primary key (display_id, id)
);

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
  enclosure_id varchar(64),
  leakage_milliamps double precision,
  switch_on_amps double precision,
  primary key (display_id, id),
  foreign key (display_id, zone_id) references zone (display_id, id),
  foreign key (display_id, mains_id) references mains_circuit (display_id, id),
  foreign key (display_id, enclosure_id) references enclosure (display_id, id)
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
  note varchar(400) default '' not null,
  enclosure_id varchar(64),
  primary key (display_id, id),
  foreign key (display_id, zone_id) references zone (display_id, id),
  foreign key (display_id, enclosure_id) references enclosure (display_id, id)
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
  cable_metres double precision,
  box int,
  mirror_of varchar(64),
  cable_gauge varchar(20),
  -- conductors that do not pass the joint before it, by name, with a space between
  cut varchar(40) default '' not null,
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
  -- who did it, where the window said a name
  by_name varchar(80) default '' not null,
  primary key (display_id, version)
);

-- Risks and hints that somebody takes, word for word, so that they lapse when their numbers change.
create table accepted (
  display_id varchar(64) not null references display (id) on delete cascade,
  place int not null,
  code varchar(64) not null,
  message varchar(4000) not null,
  reason varchar(400) not null,
  -- what it is about, however it is worded; empty for those accepted word for word
  identity varchar(64),
  primary key (display_id, place)
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
  -- of its lead
  tag varchar(12),
  primary key (display_id, piece_id, place),
  foreign key (display_id, piece_id) references leg (display_id, piece_id),
  foreign key (display_id, supply_id) references supply (display_id, id)
);

-- What was handed to devices: facts beside the display, in the order of their numbers; none is ever
-- changed or taken back.
create table handover_fact (
  id bigint generated by default as identity primary key,
  display_id varchar(64) not null references display (id) on delete cascade,
  controller_id varchar(64) not null,
  at timestamp with time zone not null,
  by_name varchar(80) not null,
  kind varchar(20) not null,
  means varchar(20) not null,
  version int not null,
  serial varchar(80) not null,
  revision varchar(80) not null,
  why varchar(1000) not null,
  fingerprint varchar(80) not null,
  -- the configuration document, as it was given
  document clob,
  -- where what hangs on it stood, as JSON
  addresses clob
);
create index handover_fact_of on handover_fact (display_id, controller_id, id);

-- What people were handed: the send list of a source, the list for whoever makes the show.
create table list_fact (
  id bigint generated by default as identity primary key,
  display_id varchar(64) not null references display (id) on delete cascade,
  -- the id of a source; empty: the list for whoever makes the show
  source_id varchar(64) not null,
  at timestamp with time zone not null,
  by_name varchar(80) not null,
  version int not null,
  -- as it was handed over, as JSON
  content clob not null
);

-- Values that somebody has typed into a device by hand so far.
create table typed (
  display_id varchar(64) not null references display (id) on delete cascade,
  controller_id varchar(64) not null,
  cell varchar(200) not null,
  typed_value varchar(400) not null,
  primary key (display_id, controller_id, cell)
);

-- Named, frozen states of a display, as display files.
create table milestone (
  display_id varchar(64) not null references display (id) on delete cascade,
  id varchar(64) not null,
  name varchar(80) not null,
  at timestamp with time zone not null,
  by_name varchar(80) not null,
  version int not null,
  content clob not null,
  primary key (display_id, id)
);

-- Strings that a person who stood there has seen right. It counts so long as the string is told the
-- same and hangs at the same place: the fingerprint is of both.
create table seen_right (
  display_id varchar(64) not null references display (id) on delete cascade,
  piece_id varchar(64) not null,
  at timestamp with time zone not null,
  by_name varchar(80) not null,
  fingerprint varchar(80) not null,
  primary key (display_id, piece_id)
);

-- The last time that a whole plan was checked on stand-ins.
create table plan_check (
  display_id varchar(64) not null references display (id) on delete cascade,
  at timestamp with time zone not null,
  version int not null,
  controllers int not null,
  refused int not null,
  pixels bigint not null,
  wrong bigint not null,
  primary key (display_id)
);

-- What lies in the workshop.
create table stock (
  display_id varchar(64) not null references display (id) on delete cascade,
  place int not null,
  article varchar(200) not null,
  pieces int not null,
  primary key (display_id, place)
);

-- Labels of strings and cables. A tag outlives the thing that it is on, so that it refers to none.
create table tag (
  display_id varchar(64) not null references display (id) on delete cascade,
  place int not null,
  text varchar(12) not null,
  kind varchar(8) not null,
  of_id varchar(64) not null,
  bank int,
  box int,
  name varchar(200) not null,
  primary key (display_id, place)
);

-- What happened to each string: kept beside the display, added to and never changed.
create table string_fact (
  id bigint generated always as identity primary key,
  display_id varchar(64) not null references display (id) on delete cascade,
  piece_id varchar(64) not null,
  at timestamp with time zone not null,
  by_name varchar(80) not null,
  kind varchar(16) not null,
  stage varchar(16),
  socket varchar(160),
  reason varchar(400),
  urgency varchar(16),
  owner varchar(80),
  photo varchar(64),
  fit varchar(16),
  place varchar(80),
  -- the name that it was given where it was said: sent twice, it is there once
  said_id varchar(64)
);
create index string_fact_by_piece on string_fact (display_id, piece_id, id);
create unique index string_fact_by_said on string_fact (display_id, said_id);

-- Where units lie or hang, by their serial numbers.
create table unit_place (
  display_id varchar(64) not null references display (id) on delete cascade,
  serial varchar(80) not null,
  place varchar(80) not null,
  primary key (display_id, serial)
);

-- Who may come in by the crew door: of the key only a hash is kept.
create table crew_key (
  id varchar(64) not null primary key,
  display_id varchar(64) not null references display (id) on delete cascade,
  name varchar(80) not null,
  hash char(64) not null unique,
  may varchar(200) not null,
  made timestamp with time zone not null,
  until timestamp with time zone not null,
  withdrawn timestamp with time zone
);
