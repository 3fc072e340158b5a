-- Counts the changes of an attempt's log, so that what was read from it can be kept until it changes.
alter table attempt add column log_version bigint default 0 not null;

-- The last change, undone or not, without looking through all of them.
create index log_change_last on log_change (attempt_id, undone, seq desc);
drop index log_change_undone;
