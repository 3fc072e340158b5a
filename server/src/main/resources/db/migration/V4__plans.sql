-- Every version of a plan is kept; the highest is the one in force. A version without a document goes back to the draft.
create table plan_version (
    attempt_id uuid not null references attempt on delete cascade,
    version integer not null,
    schema_version integer not null,
    document character varying(200000),
    made_by varchar(200) not null,
    changed_at timestamp with time zone not null,
    primary key (attempt_id, version)
);

insert into plan_version (attempt_id, version, schema_version, document, made_by, changed_at)
    select attempt_id, 1, schema_version, document, 'Kept', changed_at from plan;

drop table plan;

-- Maxes, unbroken sets, tests: one to a line, as the coach wrote them.
alter table athlete add column figures character varying(20000) default '' not null;
