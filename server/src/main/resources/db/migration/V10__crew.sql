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

-- The name that a fact was given where it was said: sent twice, it is there once.
alter table string_fact add column said_id varchar(64);
create unique index string_fact_by_said on string_fact (display_id, said_id);
