<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            create table places (
                service varchar(16) primary key,
                kind varchar(16) not null,
                url varchar(500) not null default '',
                user_name varchar(200) not null default '',
                -- Sealed with the application's key.
                password text,
                pace double precision,
                timeout double precision not null default 8,
                changed_at timestamptz not null,
                changed_by bigint references people on delete set null
            );
            -- Somebody changed it there and we keep theirs: no run touches it.
            alter table placements add column left_alone boolean not null default false;
            -- What somebody else did at a destination, until it is decided.
            create table drifts (
                placement_id bigint primary key references placements on delete cascade,
                -- changed: another content stands there; gone: nothing stands there.
                what varchar(8) not null check (what in ('changed', 'gone')),
                etag varchar(255),
                -- Sealed: what stands there, by field.
                theirs text,
                found_at timestamptz not null
            );
            create table looked_at (
                what varchar(16) primary key,
                at timestamptz not null,
                result jsonb not null
            );
            -- What a section's students have last been told of it, and each time that they were told of changes.
            create table told_sections (
                section_id bigint primary key references sections on delete cascade,
                state jsonb not null,
                at timestamptz not null
            );
            create table tellings (
                id bigserial primary key,
                section_id bigint not null references sections on delete cascade,
                changes jsonb not null,
                at timestamptz not null
            );
            create index tellings_of_a_section on tellings (section_id, id);
            alter table sections add column remind varchar(12) not null default 'none';
            -- Null: as the section says.
            alter table people add column remind varchar(12);
            create table reminded (
                session_id bigint not null,
                person_id bigint not null references people on delete cascade,
                starts_at timestamptz not null,
                primary key (session_id, person_id, starts_at)
            );
            -- Rooms of a conference service that we do not speak to: one an account.
            create table known_rooms (
                account varchar(120) primary key,
                -- Sealed: whoever has them comes in.
                address text not null,
                dial_in varchar(60) not null default '',
                pin text
            );
            create index run_steps_waiting on run_steps (run_id, section_id, lane, id) where state = 'waiting';
            create index placements_by_person on placements (person) where person is not null;
            -- Of a run that begins later: what it is to publish, until its steps are made.
            alter table runs add column due_at timestamptz;
            alter table runs add column scope jsonb;
            -- What the truth of its sections came to after it: how many people and pages tell something else.
            alter table runs add column truth integer;
            alter table runs add column halted_at timestamptz;
            alter table runs add column halted_by bigint references people on delete set null;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            alter table runs drop column halted_by;
            alter table runs drop column halted_at;
            alter table runs drop column truth;
            alter table runs drop column scope;
            alter table runs drop column due_at;
            drop index placements_by_person;
            drop index run_steps_waiting;
            drop table looked_at;
            drop table known_rooms;
            drop table reminded;
            alter table people drop column remind;
            alter table sections drop column remind;
            drop table tellings;
            drop table told_sections;
            drop table drifts;
            alter table placements drop column left_alone;
            drop table places;
            SQL
            ,
        );
    }
};
