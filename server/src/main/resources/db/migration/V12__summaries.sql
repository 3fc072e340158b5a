-- What the lists say of each attempt, worked out once for each version of it; it can be thrown away at any time.
create table attempt_summary (
    attempt_id uuid primary key,
    log_version bigint not null,
    rules character varying(64) not null,
    place enum('TO_REVIEW', 'PLANNED', 'RETEST_DUE', 'REVIEWED', 'CHECKED') not null,
    title character varying(400) not null,
    document character varying(16000) not null,
    foreign key (attempt_id) references attempt (id) on delete cascade
);

create index attempt_summary_place on attempt_summary (place);
