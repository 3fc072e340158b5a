-- Changes of a log that are one to the coach, such as a sheet of times: undone and redone together.
alter table log_change add column batch uuid;
