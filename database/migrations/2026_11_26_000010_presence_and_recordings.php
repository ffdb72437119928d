<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                -- When somebody is late, present, absent; null where the school keeps to the usual.
                alter table schools add column attendance jsonb,
                    -- Days for which a recording is kept.
                    add column recordings_days integer not null default 365;
                -- Whether they agreed to be recorded, as the office has it; null where nobody has said.
                alter table people add column may_be_recorded boolean, add column recorded_said_on date;
                alter table sections add column formula jsonb,
                    add column releases_by_itself boolean not null default false;

                -- What is about a session has no foreign key to it: a deleted series is put back with its sessions'
                -- own ids, and what was told of them is still there.
                create table presence_events (
                    id bigserial primary key,
                    session_id bigint not null,
                    -- Whom the bridge or the list knows them by.
                    who varchar(120) not null,
                    person_id bigint references people on delete set null,
                    name varchar(160) not null default '',
                    at timestamptz not null,
                    is_join boolean not null,
                    device varchar(60) not null default '',
                    source varchar(10) not null default 'bridge' check (source in ('bridge', 'list')),
                    unique (session_id, who, at, is_join, device)
                );
                create index presence_events_of_a_person on presence_events (person_id, session_id);
                create table presence_reads (
                    session_id bigint primary key,
                    -- The bridge's number of the last event that was read.
                    last_event bigint not null default 0,
                    read_at timestamptz not null,
                    -- When it was ended for everybody.
                    ended_at timestamptz,
                    trouble varchar(300)
                );
                -- How the columns of a list of another service are to be read, by their heads.
                create table presence_columns (
                    heads char(64) primary key,
                    columns jsonb not null,
                    kept_at timestamptz not null
                );
                create table attendance_corrections (
                    session_id bigint not null,
                    person_id bigint not null references people on delete cascade,
                    status varchar(10) not null,
                    minutes integer,
                    why varchar(300) not null,
                    by_id bigint references people on delete set null,
                    at timestamptz not null,
                    primary key (session_id, person_id)
                );
                create table absences_told (
                    id bigserial primary key,
                    person_id bigint not null references people on delete cascade,
                    from_day date not null,
                    to_day date not null,
                    why varchar(300) not null default '',
                    by_id bigint references people on delete set null,
                    told_at timestamptz not null,
                    check (from_day <= to_day)
                );
                create index absences_told_of_a_person on absences_told (person_id, from_day);
                -- Worked out again whenever something of a session is told, corrected or excused.
                create table session_sums (
                    session_id bigint not null,
                    section_id bigint not null references sections on delete cascade,
                    present integer not null,
                    late integer not null,
                    partial integer not null,
                    absent integer not null,
                    excused integer not null,
                    guests integer not null,
                    primary key (session_id, section_id)
                );
                -- Who missed a session, told beforehand or not; worked out together with its sums.
                create table session_absences (
                    session_id bigint not null,
                    section_id bigint not null references sections on delete cascade,
                    person_id bigint not null references people on delete cascade,
                    is_excused boolean not null,
                    primary key (session_id, section_id, person_id)
                );
                -- Students who have missed three sessions of a section or more one after the other, up to now.
                create table absent_runs (
                    section_id bigint not null references sections on delete cascade,
                    person_id bigint not null references people on delete cascade,
                    n integer not null,
                    primary key (section_id, person_id)
                );
                -- What somebody did in a room: answered quick questions, raised the hand, wrote to everybody.
                create table room_counts (
                    session_id bigint not null,
                    who varchar(120) not null,
                    person_id bigint references people on delete set null,
                    answers integer not null default 0,
                    hands integer not null default 0,
                    lines integer not null default 0,
                    primary key (session_id, who)
                );
                -- What the teacher writes of a session for the school's own use.
                create table session_notes (
                    session_id bigint primary key,
                    text text not null,
                    by_id bigint references people on delete set null,
                    at timestamptz not null
                );
                create table changed_scores (
                    section_id bigint not null references sections on delete cascade,
                    person_id bigint not null references people on delete cascade,
                    points numeric(6, 1) not null,
                    why varchar(300) not null,
                    by_id bigint references people on delete set null,
                    at timestamptz not null,
                    primary key (section_id, person_id)
                );

                create table recordings (
                    id bigserial primary key,
                    session_id bigint not null,
                    state varchar(12) not null,
                    bridge_id varchar(40) unique,
                    started_at timestamptz not null,
                    stopped_at timestamptz,
                    ready_at timestamptz,
                    trouble varchar(300),
                    milliseconds integer,
                    file varchar(200),
                    type varchar(60) not null default '',
                    has_transcript boolean not null default false,
                    -- A word to be typed before it plays; null where none is wanted.
                    word_sum char(64),
                    keeps_until date,
                    deleted_at timestamptz
                );
                create index recordings_of_a_session on recordings (session_id);
                create table recording_cues (
                    recording_id bigint not null references recordings on delete cascade,
                    n integer not null,
                    from_ms integer not null,
                    to_ms integer not null,
                    speaker varchar(160) not null default '',
                    said text not null,
                    words tsvector generated always as (to_tsvector('simple', said)) stored,
                    primary key (recording_id, n)
                );
                create index recording_cues_words on recording_cues using gin (words);
                create table recording_parts (
                    recording_id bigint not null references recordings on delete cascade,
                    n integer not null,
                    from_ms integer not null,
                    to_ms integer not null,
                    released_at timestamptz,
                    -- To the whole section, or to the students in recording_readers.
                    to_all boolean not null default true,
                    primary key (recording_id, n)
                );
                create table recording_readers (
                    recording_id bigint not null references recordings on delete cascade,
                    n integer not null,
                    person_id bigint not null references people on delete cascade,
                    primary key (recording_id, n, person_id)
                );
                create table recording_places (
                    recording_id bigint not null references recordings on delete cascade,
                    person_id bigint not null references people on delete cascade,
                    ms integer not null,
                    primary key (recording_id, person_id)
                );
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            'drop table recording_places, recording_readers, recording_parts, recording_cues, recordings,
                changed_scores, session_notes, room_counts, absent_runs, session_absences, session_sums,
                absences_told, attendance_corrections, presence_columns, presence_reads, presence_events;
            alter table sections drop column formula, drop column releases_by_itself;
            alter table people drop column may_be_recorded, drop column recorded_said_on;
            alter table schools drop column attendance, drop column recordings_days',
        );
    }
};
