-- Times of marks and recordings are milliseconds; see docs/architecture.md.

create table athlete (
    id uuid primary key,
    name varchar(120) not null,
    note varchar(2000) not null,
    created_at timestamp with time zone not null
);

create table workout (
    id uuid primary key,
    title varchar(200) not null,
    notation character varying(100000) not null,
    created_at timestamp with time zone not null,
    changed_at timestamp with time zone not null
);

-- The notation is the workout as it stood when the attempt was entered: editing a workout changes no attempt.
create table attempt (
    id uuid primary key,
    athlete_id uuid not null references athlete,
    workout_id uuid not null references workout,
    division varchar(60) not null,
    done_on date not null,
    notation character varying(100000) not null,
    retest_of uuid references attempt,
    created_at timestamp with time zone not null
);

create index attempt_by_day on attempt (done_on desc, created_at desc);

-- go_ms: media time of "go"; unset until the coach has marked it.
create table recording (
    id uuid primary key,
    attempt_id uuid not null references attempt on delete cascade,
    kind varchar(12) not null check (kind in ('video', 'simulated')),
    label varchar(200) not null,
    media_type varchar(40) not null,
    size_bytes bigint not null,
    duration_ms bigint,
    go_ms bigint,
    go_uncertainty_s double precision not null,
    simulation character varying(20000),
    created_at timestamp with time zone not null
);

create index recording_by_attempt on recording (attempt_id);

-- at_ms is media time when a recording is named, else clock time.
create table mark (
    id uuid primary key,
    attempt_id uuid not null references attempt on delete cascade,
    recording_id uuid references recording,
    seq bigint generated always as identity,
    kind varchar(12) not null,
    at_ms bigint not null,
    reps integer not null,
    depth varchar(12) not null,
    tag varchar(40) not null,
    note varchar(2000) not null,
    uncertainty_s double precision not null
);

create index mark_by_attempt on mark (attempt_id, seq);

create table plan (
    attempt_id uuid primary key references attempt on delete cascade,
    schema_version integer not null,
    document character varying(200000) not null,
    changed_at timestamp with time zone not null
);

create table retest_call (
    attempt_id uuid primary key references attempt on delete cascade,
    schema_version integer not null,
    document character varying(200000) not null,
    changed_at timestamp with time zone not null
);
