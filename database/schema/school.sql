-- The school: its people, terms, sections, who is in which of them, and its calendar.

-- The school. There is one.
create table schools (
    id bigserial primary key,
    sourced_id varchar(255) not null unique,
    name varchar(255) not null,
    time_zone varchar(255) not null,
    created_at timestamptz(0),
    updated_at timestamptz(0),
    attendance jsonb,
    recordings_days integer default 365 not null,
    substitute_days smallint default 7 not null,
    started_told varchar(10) default 'both' not null,
    constraint schools_recordings_days check (recordings_days > 0),
    constraint schools_started_told check (started_told in ('email', 'stream', 'both')),
    constraint schools_substitute_days check ((substitute_days >= 0) and (substitute_days <= 365))
);
create unique index schools_one on schools ((true));

-- Everybody: students, teachers, guardians, coordinators. Rosters name them by sourced_id.
create table people (
    id bigserial primary key,
    sourced_id varchar(255) not null unique,
    role varchar(20) not null,
    given_name varchar(255) collate by_name not null,
    family_name varchar(255) collate by_name not null,
    email varchar(255),
    year varchar(10) default '' not null,
    time_zone varchar(255) not null,
    password varchar(255) not null,
    remember_token varchar(100),
    created_at timestamptz(0),
    updated_at timestamptz(0),
    feed_hash varchar(64) unique,
    feed_secret text,
    letters_stopped_at timestamptz(0),
    disabled_on date,
    sign_in varchar(60) unique,
    is_disabled_here boolean default false not null,
    password_set_at timestamptz,
    has_demo_password boolean default false not null,
    totp_secret text,
    totp_set_at timestamptz,
    totp_step bigint default 0 not null,
    may_be_recorded boolean,
    recorded_said_on date,
    remind varchar(12),
    language varchar(35),
    roster_language varchar(35),
    links_version integer default 1 not null,
    constraint people_remind check (remind in ('none', 'evening', 'hours-2', 'hours-1', 'calendar-60', 'calendar-10')),
    constraint people_role check (role in ('student', 'teacher', 'guardian', 'coordinator'))
);
create index people_by_address on people (lower(email));
create index people_role on people (role);

-- Whose guardian somebody is.
create table guardianships (
    student_id bigint not null references people on delete cascade,
    guardian_id bigint not null references people on delete cascade,
    primary key (student_id, guardian_id),
    constraint guardianships_two check (student_id <> guardian_id)
);

-- What is taught; sections of one course share its title.
create table courses (
    id bigserial primary key,
    sourced_id varchar(255) not null unique,
    title varchar(255) collate by_name not null,
    code varchar(255) default '' not null,
    created_at timestamptz(0),
    updated_at timestamptz(0)
);

-- A span of teaching days with hours at which the school is open.
create table terms (
    id bigserial primary key,
    school_id bigint not null references schools on delete cascade,
    sourced_id varchar(255) not null unique,
    title varchar(255) not null,
    starts_on date not null,
    ends_on date not null,
    created_at timestamptz(0),
    updated_at timestamptz(0),
    rotation jsonb,
    opens_minute smallint default 420 not null,
    closes_minute smallint default 1260 not null,
    constraint terms_hours check ((0 <= opens_minute) and (opens_minute < closes_minute) and (closes_minute <= 1440)),
    constraint terms_span check (starts_on <= ends_on)
);

-- One class of a course in a term.
create table sections (
    id bigserial primary key,
    course_id bigint not null references courses,
    term_id bigint not null references terms on delete cascade,
    sourced_id varchar(255) not null unique,
    title varchar(255) collate by_name not null,
    code varchar(255) default '' not null,
    year varchar(10) default '' not null,
    feed_hash varchar(64) unique,
    feed_secret text,
    created_at timestamptz(0),
    updated_at timestamptz(0),
    target_minutes integer,
    formula jsonb,
    releases_by_itself boolean default false not null,
    remind varchar(12) default 'none' not null,
    constraint sections_remind check (remind in ('none', 'evening', 'hours-2', 'hours-1', 'calendar-60',
        'calendar-10')),
    constraint sections_target check (target_minutes > 0)
);
create index sections_year on sections (year);

-- Who observes a section by year or by course.
create table observer_rules (
    id bigserial primary key,
    section_id bigint not null references sections on delete cascade,
    year varchar(10),
    course_id bigint references courses on delete cascade,
    created_at timestamptz(0),
    updated_at timestamptz(0),
    constraint observer_rules_once unique nulls not distinct (section_id, year, course_id),
    constraint observer_rules_one check (num_nonnulls(year, course_id) = 1)
);

-- Who is in a section, as what, from when to when.
create table enrolments (
    id bigserial primary key,
    section_id bigint not null references sections on delete cascade,
    person_id bigint not null references people on delete cascade,
    sourced_id varchar(255) not null unique,
    role varchar(20) not null,
    is_primary boolean default false not null,
    begins_on date,
    ends_on date,
    created_at timestamptz(0),
    updated_at timestamptz(0),
    observer_rule_id bigint references observer_rules on delete cascade,
    is_local boolean default false not null,
    disabled_on date,
    is_inferred boolean default false not null,
    constraint enrolments_role check (role in ('teacher', 'co-teacher', 'student', 'observer')),
    constraint enrolments_open exclude (section_id with =, person_id with =, role with =)
        where ((ends_on is null)) deferrable
);
create index enrolments_of_section on enrolments (section_id, person_id, role);
create index enrolments_of_students on enrolments (section_id, ends_on, disabled_on) where (role = 'student');
create index enrolments_person_id_role on enrolments (person_id, role);
create index enrolments_that_end on enrolments (least(ends_on, (disabled_on - 1)))
    where (least(ends_on, (disabled_on - 1)) is not null);

-- Ranges of days without school.
create table closures (
    id bigserial primary key,
    term_id bigint not null references terms on delete cascade,
    uid varchar(255) not null,
    starts_on date not null,
    ends_on date not null,
    reason varchar(255) not null,
    created_at timestamptz(0),
    updated_at timestamptz(0),
    is_local boolean default false not null,
    unique (term_id, uid),
    constraint closures_span check (starts_on <= ends_on)
);

-- Days of a weekend on which there is school.
create table opened_days (
    id bigserial primary key,
    term_id bigint not null references terms on delete cascade,
    day date not null,
    created_at timestamptz(0),
    updated_at timestamptz(0),
    unique (term_id, day)
);

-- Named lists of the periods of a day.
create table day_plans (
    id bigserial primary key,
    term_id bigint not null references terms on delete cascade,
    name varchar(60) not null,
    is_usual boolean default false not null,
    periods jsonb not null,
    created_at timestamptz(0),
    updated_at timestamptz(0),
    unique (term_id, name)
);
create unique index day_plans_one_usual on day_plans (term_id) where is_usual;

-- Days that follow another day plan.
create table short_days (
    id bigserial primary key,
    term_id bigint not null references terms on delete cascade,
    day_plan_id bigint not null references day_plans on delete cascade,
    day date not null,
    reason varchar(255) not null,
    created_at timestamptz(0),
    updated_at timestamptz(0),
    unique (term_id, day)
);

-- Each import of rosters, with all that it did, so that it can be undone.
create table imports (
    id bigserial primary key,
    person_id bigint references people on delete set null,
    at timestamptz not null,
    log jsonb default '{}' not null,
    undone_at timestamptz,
    undone_by bigint references people on delete set null,
    tally jsonb default '{}' not null,
    others jsonb
);

-- Each change of the calendar, with the rows before and after it.
create table term_changes (
    id bigserial primary key,
    term_id bigint not null references terms on delete cascade,
    person_id bigint references people on delete set null,
    at timestamptz not null,
    words varchar(300) not null,
    before jsonb not null,
    after jsonb not null,
    undone_at timestamptz,
    undone_by bigint references people on delete set null,
    import_id bigint references imports on delete set null,
    said jsonb
);
create index term_changes_of_a_term on term_changes (term_id, id);
