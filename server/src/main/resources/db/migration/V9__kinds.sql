-- A check constraint stays bound to the database session that made it, and fails once that session is gone; a column that is an enum does not.
-- Dropping the column drops its check with it.
alter table recording add column kind_of enum('video', 'simulated');
update recording set kind_of = kind;
alter table recording drop column kind;
alter table recording alter column kind_of rename to kind;
alter table recording alter column kind set not null;

alter table log_change add column what_of enum('mark', 'go');
update log_change set what_of = what;
alter table log_change drop column what;
alter table log_change alter column what_of rename to what;
alter table log_change alter column what set not null;

-- A remark of 2,000 characters, each escaped as six.
alter table log_change alter column before_it set data type character varying(20000);
alter table log_change alter column after_it set data type character varying(20000);
