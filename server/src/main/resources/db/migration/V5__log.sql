-- What was done to the log of an attempt, so that it can be undone and redone, also after a reload.
create table log_change (
    attempt_id uuid not null references attempt on delete cascade,
    seq bigint generated always as identity,
    what varchar(12) not null check (what in ('mark', 'go')),
    target uuid not null,
    before_it character varying(4000),
    after_it character varying(4000),
    undone boolean default false not null,
    moved_by uuid,
    primary key (attempt_id, seq)
);

create index log_change_undone on log_change (attempt_id, undone);

-- Choices of the coach: keys, phrases.
create table setting (
    name varchar(40) primary key,
    document character varying(20000) not null,
    changed_at timestamp with time zone not null
);
