-- The call a retest was set by, as it stood then, so that it can be checked against what came.
create table retest_called (
    attempt_id uuid primary key references attempt on delete cascade,
    schema_version integer not null,
    document character varying(200000) not null,
    called_at timestamp with time zone not null
);

-- What hurts now, as noted; empty when nothing does. And whether the athlete recovers slowly.
alter table athlete add column pain character varying(400) default '' not null;
alter table athlete add column recovers_slowly boolean default false not null;
