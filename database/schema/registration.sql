-- Who is registered, and the emails that are sent.

-- Who is registered for a series, or for one session of it.
create table registrations (
    id bigserial primary key,
    series_id bigint not null references series on delete cascade,
    person_id bigint not null references people on delete cascade,
    state varchar(12) not null,
    came_by varchar(12) not null,
    created_at timestamptz(0),
    updated_at timestamptz(0),
    only_day date,
    typed_name varchar(160),
    typed_email varchar(160),
    reason varchar(300),
    decided_by bigint references people on delete set null,
    decided_at timestamptz(0),
    arrived_at timestamptz(0),
    before jsonb,
    session_id bigint,
    constraint registrations_came_by check (came_by in ('roster', 'own')),
    constraint registrations_decided check ((decided_by is null) or (decided_at is not null)),
    constraint registrations_state check (state in ('accepted', 'waiting', 'queued', 'declined', 'withdrawn'))
);
create index registrations_counted on registrations (series_id, person_id, only_day) where (state = 'accepted');
create index registrations_of_a_session on registrations (session_id) where (session_id is not null);
create unique index registrations_once on registrations (series_id, person_id, coalesce(session_id, 0));
create index registrations_person_id on registrations (person_id);
create index registrations_state on registrations (state);

-- Every email, written in the transaction of what it tells of. Its key keeps it from being written twice.
create table emails (
    id bigserial primary key,
    key varchar(120) not null unique,
    kind varchar(20) not null,
    person_id bigint references people on delete cascade,
    series_id bigint references series on delete cascade,
    registration_id bigint,
    to_name varchar(160) not null,
    to_address varchar(160) not null,
    "values" jsonb default '{}' not null,
    not_before timestamptz(0) not null,
    sent_at timestamptz(0),
    trouble varchar(300),
    created_at timestamptz(0),
    updated_at timestamptz(0),
    tries smallint default 0 not null,
    constraint emails_tries check (tries >= 0)
);
create index emails_key on emails (key varchar_pattern_ops);
create index emails_person on emails (person_id);
create index emails_series on emails (series_id);
create index emails_registration_id on emails (registration_id);
create index emails_to_send on emails (not_before) where (sent_at is null);

-- Emails and published texts in the words of the school.
create table templates (
    kind varchar(20) not null,
    subject varchar(200) not null,
    text text not null,
    created_at timestamptz(0),
    updated_at timestamptz(0),
    updated_by bigint references people on delete set null,
    language varchar(35) default 'en' not null,
    primary key (kind, language)
);

-- What somebody answered to an invitation.
create table invitation_responses (
    series_id bigint not null references series on delete cascade,
    person_id bigint not null references people on delete cascade,
    session_at timestamptz default '1970-01-01 00:00:00+00' not null,
    answer text not null,
    at timestamptz not null,
    session_id bigint,
    primary key (series_id, person_id, session_at),
    constraint invitation_responses_answer check (answer in ('accepted', 'tentative', 'declined'))
);

-- Who was reminded of which start.
create table sent_reminders (
    session_id bigint not null,
    person_id bigint not null references people on delete cascade,
    starts_at timestamptz not null,
    primary key (session_id, person_id, starts_at)
);
