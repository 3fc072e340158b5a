-- A film of a heat shows several athletes: attempts beside the one it was added to use it too, each with a "go" of its own.
create table recording_use (
    recording_id uuid not null references recording on delete cascade,
    attempt_id uuid not null references attempt on delete cascade,
    primary key (recording_id, attempt_id)
);
create index recording_use_by_attempt on recording_use (attempt_id);
