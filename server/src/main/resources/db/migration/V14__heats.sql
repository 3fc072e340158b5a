-- Attempts of several athletes that went at once. A film added to one of a heat shows them all.
create table heat_lane (
    attempt_id uuid primary key references attempt on delete cascade,
    heat_id uuid not null,
    lane integer
);
create index heat_lane_by_heat on heat_lane (heat_id);

-- Where on a film of several an athlete is to be watched: shares of the picture, from its left and its top.
create table recording_outline (
    recording_id uuid not null references recording on delete cascade,
    attempt_id uuid not null references attempt on delete cascade,
    x double precision not null,
    y double precision not null,
    w double precision not null,
    h double precision not null,
    primary key (recording_id, attempt_id)
);
create index recording_outline_by_attempt on recording_outline (attempt_id);
