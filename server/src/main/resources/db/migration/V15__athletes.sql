-- What an attempt shows of its athlete, worked out and kept with its summary.
alter table attempt_summary add column facts character varying(200000) default '' not null;

-- What a machine or a strap noted beside an attempt, as a sheet; its start lies at a clock of the attempt.
create table trace (
    id uuid primary key,
    attempt_id uuid not null references attempt on delete cascade,
    label varchar(200) not null,
    offset_ms bigint not null,
    sheet character varying(1000000) not null,
    created_at timestamp with time zone not null
);
create index trace_by_attempt on trace (attempt_id);

-- The coach's own words on the athlete's card.
alter table attempt add column card_sentence varchar(1000) default '' not null;

-- What an athlete did on a day, also among hundreds of attempts.
create index attempt_by_athlete_and_day on attempt (athlete_id, done_on, workout_id);
