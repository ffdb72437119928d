-- Who was inside, and what that comes to.

-- Each coming and going in a room.
create table presence_events (
    id bigserial primary key,
    session_id bigint not null,
    who varchar(120) not null,
    person_id bigint references people on delete set null,
    name varchar(160) default '' not null,
    at timestamptz not null,
    is_join boolean not null,
    device varchar(60) default '' not null,
    source varchar(10) default 'bridge' not null,
    unique (session_id, who, at, is_join, device),
    constraint presence_events_source check (source in ('bridge', 'list'))
);
create index presence_events_of_a_person on presence_events (person_id, session_id);

-- How far a session's events were read.
create table presence_reads (
    session_id bigint primary key,
    last_event bigint default 0 not null,
    read_at timestamptz not null,
    ended_at timestamptz,
    trouble varchar(300)
);

-- Which column of a list means what, by its headings.
create table presence_columns (
    heads char(64) primary key,
    columns jsonb not null,
    kept_at timestamptz not null
);

-- Answers, hands and lines of chat, counted by person.
create table participation (
    session_id bigint not null,
    who varchar(120) not null,
    person_id bigint references people on delete set null,
    answers integer default 0 not null,
    hands integer default 0 not null,
    lines integer default 0 not null,
    primary key (session_id, who),
    constraint participation_numbers check ((answers >= 0) and (hands >= 0) and (lines >= 0))
);

-- What a person decided about somebody's attendance.
create table attendance_corrections (
    session_id bigint not null,
    person_id bigint not null references people on delete cascade,
    status varchar(10) not null,
    minutes integer,
    why varchar(300) not null,
    by_id bigint references people on delete set null,
    at timestamptz not null,
    primary key (session_id, person_id),
    constraint attendance_corrections_minutes check (minutes >= 0),
    constraint attendance_corrections_status check (status in ('present', 'late', 'partial', 'absent', 'excused'))
);

-- What a session came to, for pages that show hundreds.
create table session_sums (
    session_id bigint not null,
    section_id bigint not null references sections on delete cascade,
    present integer not null,
    late integer not null,
    partial integer not null,
    absent integer not null,
    excused integer not null,
    guests integer not null,
    primary key (session_id, section_id),
    constraint session_sums_numbers check (least(present, late, partial, absent, excused, guests) >= 0)
);

-- Who missed which session.
create table session_absences (
    session_id bigint not null,
    section_id bigint not null references sections on delete cascade,
    person_id bigint not null references people on delete cascade,
    is_excused boolean not null,
    primary key (session_id, section_id, person_id)
);
create index session_absences_person on session_absences (person_id);

-- Who has missed the last sessions in a row.
create table absence_streaks (
    section_id bigint not null references sections on delete cascade,
    person_id bigint not null references people on delete cascade,
    n integer not null,
    primary key (section_id, person_id),
    constraint absence_streaks_n check (n > 0)
);

-- Absences that a family or the school reported.
create table reported_absences (
    id bigserial primary key,
    person_id bigint not null references people on delete cascade,
    from_day date not null,
    to_day date not null,
    why varchar(300) default '' not null,
    by_id bigint references people on delete set null,
    told_at timestamptz not null,
    constraint reported_absences_span check (from_day <= to_day)
);
create index reported_absences_of_a_person on reported_absences (person_id, from_day);

-- Scores that a teacher set by hand.
create table changed_scores (
    section_id bigint not null references sections on delete cascade,
    person_id bigint not null references people on delete cascade,
    points numeric(6, 1) not null,
    why varchar(300) not null,
    by_id bigint references people on delete set null,
    at timestamptz not null,
    primary key (section_id, person_id),
    constraint changed_scores_points check (points >= (0)::numeric)
);

-- What a teacher noted about a session.
create table session_notes (
    session_id bigint primary key,
    text text not null,
    by_id bigint references people on delete set null,
    at timestamptz not null
);
