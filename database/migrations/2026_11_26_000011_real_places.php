<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class() extends Migration {
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
                drop table drifts;
                alter table placements drop column left_alone;
                drop table places;
                SQL
            ,
        );
    }
};
