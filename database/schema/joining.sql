-- Links, passes and rooms, and who may come in.

-- Named rules of a door and a room.
create table presets (
    id bigserial primary key,
    key varchar(40) not null unique,
    name varchar(60) not null,
    door jsonb not null,
    floor jsonb not null,
    created_at timestamptz(0),
    updated_at timestamptz(0)
);

-- Links to come in by. The secret is sealed; who knocks is found by its hash.
create table join_links (
    id bigserial primary key,
    series_id bigint not null references series on delete cascade,
    person_id bigint references people on delete cascade,
    kind varchar(12) not null,
    secret_hash varchar(64) not null unique,
    secret text not null,
    join_code text,
    room varchar(255),
    dial_in varchar(255),
    pin text,
    is_hidden boolean default false not null,
    retired_at timestamptz(0),
    created_at timestamptz(0),
    updated_at timestamptz(0),
    guest_name varchar(120),
    guest_email varchar(160),
    only_day date,
    expires_at timestamptz(0),
    short_address varchar(80) unique,
    holder_hash char(64),
    held_at timestamptz,
    held_browser varchar(255) default '' not null,
    only_session_id bigint,
    code_hash char(64),
    constraint join_links_kind check (kind in ('series', 'personal', 'host', 'guest')),
    constraint join_links_of_guest check ((kind <> 'guest') or (guest_name is not null)),
    constraint join_links_of_person check ((kind = 'personal') = (person_id is not null))
);
create unique index join_links_code on join_links (code_hash);
create unique index join_links_in_force on join_links (series_id, kind, coalesce(person_id, 0))
    where ((retired_at is null) and (kind <> 'guest'));
create index join_links_of_a_session on join_links (only_session_id) where (only_session_id is not null);
create index join_links_person on join_links (person_id) where (person_id is not null);
create index join_links_series on join_links (series_id);

-- A guest pass that a second browser asks for.
create table pass_claims (
    id bigserial primary key,
    join_link_id bigint not null references join_links on delete cascade,
    hash char(64) not null,
    browser varchar(255) default '' not null,
    asked_at timestamptz not null,
    decided_at timestamptz,
    moved boolean default false not null,
    unique (join_link_id, hash)
);

-- Rooms with open hours and no sessions.
create table drop_in_rooms (
    id bigserial primary key,
    section_id bigint not null references sections on delete cascade,
    uid varchar(60) not null unique,
    name varchar(80) collate by_name not null,
    hours jsonb not null,
    preset varchar(40) default 'office-hours' not null,
    secret_hash varchar(64) not null unique,
    secret text not null,
    retired_hashes jsonb default '[]' not null,
    join_code text not null,
    room varchar(255) not null,
    dial_in varchar(255) not null,
    pin text not null,
    is_hidden boolean default false not null,
    created_at timestamptz(0),
    updated_at timestamptz(0),
    code_hash char(64)
);
create unique index drop_in_rooms_code on drop_in_rooms (code_hash);
create index drop_in_rooms_retired on drop_in_rooms using gin (retired_hashes);
create index drop_in_rooms_section_id on drop_in_rooms (section_id);

-- Rooms of accounts that have always the same address.
create table known_rooms (
    account varchar(120) primary key,
    address text not null,
    dial_in varchar(60) default '' not null,
    pin text
);

-- Series that are more open than their preset, and who agreed.
create table accepted_deviations (
    series_id bigint primary key references series on delete cascade,
    hash varchar(64) not null,
    accepted_by bigint references people on delete set null,
    at timestamptz(0) not null
);

-- What an act on many series did, line by line.
create table act_results (
    id bigserial primary key,
    person_id bigint references people on delete set null,
    term_id bigint references terms on delete cascade,
    act varchar(40) not null,
    value varchar(40) default '' not null,
    lines jsonb not null,
    at timestamptz not null,
    undone_at timestamptz,
    undone_by bigint references people on delete set null
);

-- Who changed which door, link or registration.
create table audit_log (
    id bigserial primary key,
    at timestamptz(0) not null,
    person_id bigint references people on delete set null,
    kind varchar(20) not null,
    series_id bigint,
    section_id bigint,
    section varchar(160) default '' not null,
    words varchar(400) not null,
    said jsonb
);
create index audit_log_at on audit_log (at);
create index audit_log_kind on audit_log (kind);
create index audit_log_person on audit_log (person_id) where (person_id is not null);
create index audit_log_series_id on audit_log (series_id);
