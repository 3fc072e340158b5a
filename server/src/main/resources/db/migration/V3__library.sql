alter table workout add column archived boolean default false not null;

-- Movements the coach has added to the catalogue, as documents.
create table movement (
    name varchar(80) primary key,
    schema_version integer not null,
    document character varying(20000) not null,
    changed_at timestamp with time zone not null
);
