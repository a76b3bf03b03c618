-- What the workshop goes by: spares and allowance in percent, the highest number that was ever given
-- to a tag, stock, and labels of strings and cables. A tag outlives the thing that it is on, so that
-- it refers to none.
alter table display add column spares_percent int;
alter table display add column allowance_percent int;
alter table display add column last_tag int default 0 not null;

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
