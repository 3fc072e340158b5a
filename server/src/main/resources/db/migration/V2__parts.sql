-- An attempt is at one part of a workout; the parts of a day share their recordings, each with a "go" of its own.

alter table attempt add column part integer default 0 not null;
-- Into how many rounds the athlete cut what may be done in any order.
alter table attempt add column cut_into integer default 1 not null;

create table recording_go (
    recording_id uuid not null references recording on delete cascade,
    attempt_id uuid not null references attempt on delete cascade,
    go_ms bigint not null,
    uncertainty_s double precision not null,
    primary key (recording_id, attempt_id)
);

insert into recording_go (recording_id, attempt_id, go_ms, uncertainty_s)
    select id, attempt_id, go_ms, go_uncertainty_s from recording where go_ms is not null;

alter table recording drop column go_ms;
alter table recording drop column go_uncertainty_s;
