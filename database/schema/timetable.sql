-- Series of sessions, the accounts that host them, their clashes, and what has been changed.

-- What an account may do: seats, minutes, sessions at once.
create table hosting_plans (
    id bigserial primary key,
    name varchar(60) not null unique,
    seats integer not null,
    minutes smallint not null,
    at_once smallint default 1 not null,
    created_at timestamptz(0),
    updated_at timestamptz(0),
    constraint hosting_plans_numbers check ((seats > 0) and (minutes > 0) and (at_once > 0))
);

-- Accounts of the conference service that host sessions.
create table host_accounts (
    id bigserial primary key,
    hosting_plan_id bigint not null references hosting_plans on delete restrict,
    name varchar(60) collate by_name not null,
    created_at timestamptz(0),
    updated_at timestamptz(0)
);
create unique index host_accounts_name on host_accounts (name collate "C");

-- A recurring session: its pattern and what is its own.
create table series (
    id bigserial primary key,
    section_id bigint not null references sections on delete cascade,
    uid uuid not null unique,
    title varchar(255) collate by_name not null,
    pattern jsonb not null,
    ends jsonb not null,
    starts_on date not null,
    start_minute smallint not null,
    minutes smallint not null,
    time_zone varchar(255) not null,
    sequence integer default 0 not null,
    changed_at timestamptz(0) not null,
    import_hash varchar(64),
    created_at timestamptz(0),
    updated_at timestamptz(0),
    earlier jsonb default '[]' not null,
    period varchar(40),
    host_account_id bigint references host_accounts on delete set null,
    topics jsonb default '[]' not null,
    topics_move boolean default true not null,
    source_uid varchar(255),
    preset varchar(40) default 'lesson' not null,
    door jsonb,
    floor jsonb,
    registering jsonb,
    import_title varchar(160),
    constraint series_minutes check ((minutes >= 1) and (minutes <= 1440)),
    constraint series_sequence check (sequence >= 0),
    constraint series_start check ((start_minute >= 0) and (start_minute <= 1439))
);
create index series_source_uid on series (source_uid);
create unique index series_title on series (section_id, title collate "C");

-- Which sections share a series; its own is always among them.
create table series_sections (
    series_id bigint not null references series on delete cascade,
    section_id bigint not null references sections on delete cascade,
    primary key (section_id, series_id),
    unique (series_id, section_id)
);

-- One session of a series. What is about it names its id, never its day (docs/subsystems/what-belongs-to-a-session.md).
create table sessions (
    id bigserial primary key,
    series_id bigint not null references series on delete cascade,
    day date not null,
    starts_at timestamptz(0) not null,
    ends_at timestamptz(0) not null,
    state varchar(12) not null,
    reason varchar(255),
    moved_from date,
    is_extra boolean default false not null,
    makes_up date,
    topic varchar(200),
    title varchar(120),
    note varchar(400),
    teacher_id bigint references people on delete set null,
    host_account_id bigint references host_accounts on delete set null,
    door jsonb,
    floor jsonb,
    cancelled text,
    keeps_topic boolean default false not null,
    chosen jsonb,
    takes_topic boolean default true not null,
    constraint sessions_span check (starts_at < ends_at),
    constraint sessions_state check (state in ('planned', 'lost', 'cancelled')),
    constraint sessions_do_not_overlap exclude using gist (series_id with =, tstzrange(starts_at,
        ends_at) with &&) where ((state = 'planned')) deferrable,
    constraint sessions_slot exclude (series_id with =, coalesce(moved_from, day) with =)
        where (not is_extra) deferrable
);
create index sessions_held on sessions (ends_at) include (series_id) where (state = 'planned');
create index sessions_not_held on sessions (day, series_id) where (state in ('lost', 'cancelled'));
create index sessions_of_a_day on sessions (day) include (series_id) where (state = 'planned');
create index sessions_of_a_series on sessions (series_id, starts_at);
create index sessions_of_another_teacher on sessions (teacher_id) where (teacher_id is not null);
create index sessions_starts_at on sessions (starts_at);
create index sessions_with_own_door on sessions (series_id) where ((door is not null) or (floor is not null));

-- Sessions that were taken out, so that they can come back with the id that they had.
create table removed_sessions (
    series_id bigint not null,
    slot date not null,
    id bigint primary key,
    is_extra boolean default false not null,
    gone_at timestamptz default clock_timestamp() not null
);
create index removed_sessions_slot on removed_sessions (series_id, slot);

-- Each change of a series, with the rows before it.
create table series_changes (
    id bigserial primary key,
    section_id bigint not null references sections on delete cascade,
    series_id bigint not null,
    person_id bigint references people on delete set null,
    at timestamptz(0) not null,
    words varchar(300) not null,
    before jsonb,
    undone_at timestamptz(0),
    undone_by bigint references people on delete set null,
    term_change_id bigint references term_changes on delete cascade,
    import_id bigint references imports on delete set null,
    is_for_some boolean default false not null,
    said jsonb,
    batch uuid
);
create index series_changes_batch on series_changes (batch) where (batch is not null);
create index series_changes_of_a_term_change on series_changes (term_change_id) where (term_change_id is not null);
create index series_changes_section on series_changes (section_id, id);
create index series_changes_series_id on series_changes (series_id);

-- What was found to clash; found again after each change.
create table clashes (
    id bigserial primary key,
    kind varchar(12) not null,
    series_id bigint not null references series on delete cascade,
    section_id bigint not null references sections on delete cascade,
    other_series_id bigint references series on delete cascade,
    other_section_id bigint references sections on delete cascade,
    people jsonb not null,
    days jsonb not null
);
create index clashes_other_section_id on clashes (other_section_id);
create index clashes_section_id on clashes (section_id);

-- Clashes that somebody decided to live with.
create table accepted_clashes (
    id bigserial primary key,
    key varchar(255) not null unique,
    reason varchar(255) not null,
    accepted_by bigint references people on delete set null,
    created_at timestamptz(0),
    updated_at timestamptz(0),
    people jsonb default '[]' not null,
    days jsonb default '[]' not null
);

-- When people are busy outside the school, from calendars that were read.
create table busy_blocks (
    id bigserial primary key,
    person_id bigint not null references people on delete cascade,
    uid varchar(255) not null,
    title varchar(160) not null,
    starts_at timestamptz(0) not null,
    ends_at timestamptz(0) not null,
    unique (person_id, uid, starts_at),
    constraint busy_blocks_span check (starts_at <= ends_at)
);
create index busy_blocks_person_id_starts_at on busy_blocks (person_id, starts_at);
