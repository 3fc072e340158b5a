-- What was asked under an id of the caller's making and is done: the same request again does nothing more, however late it comes.
create table request_done (
    id uuid primary key,
    attempt_id uuid not null references attempt on delete cascade,
    what varchar(20) not null,
    done_at timestamp with time zone not null
);

insert into request_done (id, attempt_id, what, done_at)
    select distinct moved_by, attempt_id, 'move', localtimestamp from log_change where moved_by is not null;

create index request_done_by_attempt on request_done (attempt_id);

alter table log_change drop column moved_by;

-- Counts the choices made for a retest, so that one window does not write over another's.
alter table retest_call add column version bigint default 1 not null;

-- The bin: what was deleted lies in it for a while.
alter table athlete add column deleted_at timestamp with time zone;
alter table workout add column deleted_at timestamp with time zone;
alter table attempt add column deleted_at timestamp with time zone;
alter table recording add column deleted_at timestamp with time zone;

alter table attempt alter column division set data type varchar(200);
