-- What the workshop goes by: spares and allowance in percent, the highest number that was ever given
-- to a tag, stock, and labels of strings and cables. A tag outlives the thing that it is on, so that
-- it refers to none.
alter table display add column spares_percent int;
alter table display add column allowance_percent int;
alter table display add column last_tag int default 0 not null;

-- Of the lead of a feed.
alter table feed add column tag varchar(12);

create table stock (
  display_id varchar(64) not null references display (id) on delete cascade,
  place int not null,
  article varchar(200) not null,
  pieces int not null,
  primary key (display_id, place)
);

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
  place varchar(80)
);
create index string_fact_by_piece on string_fact (display_id, piece_id, id);

-- Where units lie or hang, by their serial numbers.
create table unit_place (
  display_id varchar(64) not null references display (id) on delete cascade,
  serial varchar(80) not null,
  place varchar(80) not null,
  primary key (display_id, serial)
);
