<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                -- An act that was carried out, by the sum of who sent which form with what; and where it led.
                create table acts (
                    sum char(64) primary key,
                    person_id bigint references people (id) on delete cascade,
                    leads_to text,
                    said jsonb,
                    at timestamptz not null default now()
                );
                create index acts_by_age on acts (at);
                -- What came of an act on many: a page of its own.
                create table act_results (
                    id bigserial primary key,
                    person_id bigint references people (id) on delete set null,
                    term_id bigint references terms (id) on delete cascade,
                    act varchar(40) not null,
                    value varchar(40) not null default '',
                    lines jsonb not null,
                    at timestamptz not null,
                    undone_at timestamptz,
                    undone_by bigint references people (id) on delete set null
                );
                alter table letter_templates add column updated_by bigint references people (id) on delete set null;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
                alter table letter_templates drop column updated_by;
                drop table act_results;
                drop table acts;
            SQL
            ,
        );
    }
};
