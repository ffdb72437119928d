-- What is published where, and how that stands.

-- What is shown where: of the school, and where a section differs.
create table publishing_options (
    id bigserial primary key,
    section_id bigint references sections on delete cascade,
    rules jsonb not null,
    updated_by bigint references people on delete set null,
    updated_at timestamptz not null
);
create unique index publishing_options_section on publishing_options (coalesce(section_id, 0));

-- One item of a section at one place: the hash of what it should say beside what was published.
create table published_items (
    id bigserial primary key,
    section_id bigint not null references sections on delete cascade,
    place varchar(16) not null,
    key varchar(255) not null,
    label varchar(255) not null,
    person varchar(255),
    desired_hash varchar(64),
    published_hash varchar(64),
    standing text,
    remote varchar(255),
    etag varchar(255),
    trouble text,
    published_at timestamptz(0),
    created_at timestamptz(0),
    updated_at timestamptz(0),
    left_alone boolean default false not null,
    schedule_tag varchar(255),
    unique (place, key),
    constraint published_items_place check (place in ('course-page', 'calendar', 'class-stream'))
);
create index published_items_by_person on published_items (person) where (person is not null);
create index published_items_differing on published_items (section_id)
    where ((not left_alone) and (desired_hash is distinct from published_hash));
create index published_items_in_trouble on published_items (section_id) where (trouble is not null);
create index published_items_new on published_items (section_id, place)
    where ((not left_alone) and (desired_hash is not null) and (published_hash is null));
create index published_items_section_id_place on published_items (section_id, place);
create index published_items_standing on published_items (section_id, place) where (published_hash is not null);

-- Items that somebody changed or deleted at the place itself.
create table outside_changes (
    placement_id bigint primary key references published_items on delete cascade,
    what varchar(8) not null,
    etag varchar(255),
    theirs text,
    found_at timestamptz not null,
    constraint outside_changes_what check (what in ('changed', 'gone'))
);

-- What others have put where we publish.
create table foreign_items (
    id bigserial primary key,
    section_id bigint not null references sections on delete cascade,
    place varchar(16) not null,
    key varchar(255) not null,
    title varchar(255) not null,
    etag varchar(255),
    is_left boolean default false not null,
    found_at timestamptz not null,
    unique (place, key),
    constraint foreign_items_place check (place in ('course-page', 'calendar', 'class-stream'))
);
create index foreign_items_section on foreign_items (section_id);

-- Which service is used for what. Passwords are sealed.
create table service_connections (
    service varchar(16) primary key,
    kind varchar(16) not null,
    url varchar(500) default '' not null,
    user_name varchar(200) default '' not null,
    password text,
    pace double precision,
    timeout double precision default 8 not null,
    changed_at timestamptz not null,
    changed_by bigint references people on delete set null,
    constraint service_connections_kind check (kind in ('stand-in', 'own-service', 'caldav', 'caldav-invites',
        'smtp', 'known-rooms', 'our-page')),
    constraint service_connections_numbers
        check ((pace > (0)::double precision) and (timeout > (0)::double precision)),
    constraint service_connections_service
        check (service in ('bridge', 'course', 'calendar', 'stream', 'post', 'recording'))
);

-- A publish run, or the making of links.
create table runs (
    id char(26) primary key,
    kind varchar(12) not null,
    started_by bigint references people on delete set null,
    app_time timestamptz(0) not null,
    ended_at timestamptz(0),
    created_at timestamptz(0),
    updated_at timestamptz(0),
    due_at timestamptz,
    scope jsonb,
    truth integer,
    halted_at timestamptz,
    halted_by bigint references people on delete set null,
    checked_by varchar(40),
    checked_until timestamptz(0),
    constraint runs_kind check (kind in ('publish', 'links'))
);

-- The steps of a run; what waits is taken up after a crash.
create table run_steps (
    id bigserial primary key,
    run_id char(26) not null references runs on delete cascade,
    section_id bigint not null references sections on delete cascade,
    lane varchar(16) not null,
    key varchar(255) not null,
    label varchar(255) not null,
    verb varchar(12) not null,
    state varchar(12) default 'waiting' not null,
    tries smallint default 0 not null,
    due_at timestamptz(0),
    words text,
    done_at timestamptz(0),
    unique (run_id, lane, key),
    constraint run_steps_lane check (lane in ('course-page', 'calendar', 'class-stream', 'link')),
    constraint run_steps_state check (state in ('waiting', 'done', 'failed', 'asked')),
    constraint run_steps_tries check (tries >= 0)
);
create index run_steps_run_id_state on run_steps (run_id, state);
create index run_steps_waiting on run_steps (run_id, section_id, lane, id) where (state = 'waiting');

-- What a section was told last.
create table section_announcements (
    section_id bigint primary key references sections on delete cascade,
    state jsonb not null,
    at timestamptz not null,
    tell_until timestamptz
);

-- Changes that were posted in a class stream.
create table announcements (
    id bigserial primary key,
    section_id bigint not null references sections on delete cascade,
    changes jsonb not null,
    at timestamptz not null,
    is_in_stream boolean default true not null
);
create index announcements_of_a_section on announcements (section_id, id);

-- What a check of everything came to.
create table check_results (
    what varchar(16) primary key,
    at timestamptz not null,
    result jsonb not null
);

-- Links and files of a section or a session.
create table materials (
    id bigserial primary key,
    section_id bigint not null references sections on delete cascade,
    session_id bigint,
    title varchar(120) not null,
    address varchar(1000) not null,
    created_by bigint references people on delete set null,
    created_at timestamptz not null,
    file varchar(40) unique,
    file_name varchar(160),
    constraint materials_what check ((address <> '') or (file is not null))
);
create index materials_of_a_section on materials (section_id, id);
create index materials_of_a_session on materials (session_id) where (session_id is not null);

-- Where programs of the school are told of changes.
create table webhooks (
    id bigserial primary key,
    address varchar(500) not null,
    secret text not null,
    created_by bigint references people on delete set null,
    created_at timestamptz not null,
    stopped_at timestamptz
);

-- What they were told, and whether it arrived.
create table webhook_messages (
    id bigserial primary key,
    webhook_id bigint not null references webhooks on delete cascade,
    key varchar(40) not null,
    kind varchar(40) not null,
    body jsonb not null,
    created_at timestamptz not null,
    tries integer default 0 not null,
    due_at timestamptz,
    tried_at timestamptz,
    arrived_at timestamptz,
    answer varchar(200),
    constraint webhook_messages_tries check (tries >= 0)
);
create index webhook_messages_due on webhook_messages (due_at) where (due_at is not null);
create index webhook_messages_of_one on webhook_messages (webhook_id, id desc);
