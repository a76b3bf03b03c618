-- A removed display is kept for a while; of two with one name people know the one they changed last.
alter table display add column removed_at timestamp;
alter table display add column changed_at timestamp default current_timestamp not null;
update display set changed_at = coalesce(
  (select max(at) from edit_log where edit_log.display_id = display.id), current_timestamp);
