-- What the application needs to run.

-- The queue.
create table jobs (
    id bigserial primary key,
    queue varchar(255) not null,
    payload text not null,
    attempts smallint not null,
    reserved_at integer,
    available_at integer not null,
    created_at integer not null
);
create index jobs_queue on jobs (queue);

-- Jobs that failed for good.
create table failed_jobs (
    id bigserial primary key,
    uuid varchar(255) not null unique,
    connection text not null,
    queue text not null,
    payload text not null,
    exception text not null,
    failed_at timestamptz default current_timestamp not null
);

-- Small facts of the installation, the demo's clock among them.
create table settings (
    name varchar(255) primary key,
    value text
);

-- Forms that were sent, so that a second press does nothing twice.
create table processed_forms (
    hash char(64) primary key,
    person_id bigint references people on delete cascade,
    at timestamptz default now() not null,
    answer text,
    held_by text,
    held_until timestamptz,
    waiting integer default 0 not null
);
create index processed_forms_by_age on processed_forms (at);
create index processed_forms_under_way on processed_forms (person_id) where (answer is null);

-- A hash under the key that seals this database.
create table key_fingerprints (
    hash char(64) primary key
);
