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
