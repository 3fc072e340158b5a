-- The order of marks and changes is numbered ahead in larger steps: each step writes the file, and a sheet of two hundred marks took seven.
alter table mark alter column seq set cache 1000;
alter table log_change alter column seq set cache 1000;

-- What is said of an attempt is long, and asked for of a page only; what lists are sorted and searched by is short, and read of all.
create table attempt_said (
    attempt_id uuid primary key,
    document character varying(16000) not null,
    facts character varying(200000) not null,
    foreign key (attempt_id) references attempt (id) on delete cascade
);

insert into attempt_said (attempt_id, document, facts) select attempt_id, document, facts from attempt_summary;

alter table attempt_summary drop column document;
alter table attempt_summary drop column facts;

-- The latest of what waits for something are found without looking at all.
alter table attempt_summary add column done_on date;
update attempt_summary summary set done_on = (select done_on from attempt where attempt.id = summary.attempt_id);
alter table attempt_summary alter column done_on set not null;
drop index attempt_summary_place;
create index attempt_summary_latest on attempt_summary (place, done_on desc);

-- So are the latest of an athlete and those at a workout.
drop index attempt_by_athlete_and_day;
create index attempt_latest_of_athlete on attempt (athlete_id, done_on desc, created_at desc);
create index attempt_latest_at_workout on attempt (workout_id, part, done_on desc, created_at desc);

-- Whether anything has changed is told without reading a row.
create index attempt_by_log_version on attempt (log_version);
create index attempt_summary_by_rules on attempt_summary (rules);
