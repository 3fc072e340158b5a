-- Strength work that is not for time: what an athlete did on a day, as it was written.
create table strength_day (
    athlete_id uuid not null references athlete on delete cascade,
    done_on date not null,
    text character varying(8000) not null,
    primary key (athlete_id, done_on)
);
