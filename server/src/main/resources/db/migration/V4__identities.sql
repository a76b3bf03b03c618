-- What an accepted finding is about, however it is worded; empty for those accepted word for word.
alter table accepted add column identity varchar(64);
