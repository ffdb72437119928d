<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                -- An import is an act: what it added, changed (with the rows as they were) and ended, by table.
                create table imports (
                    id bigserial primary key,
                    person_id bigint references people (id) on delete set null,
                    at timestamptz not null,
                    words varchar(400) not null,
                    log jsonb not null default '{}',
                    undone_at timestamptz,
                    undone_by bigint references people (id) on delete set null
                );
                alter table series_changes add column import_id bigint references imports (id) on delete set null;
                alter table term_changes add column import_id bigint references imports (id) on delete set null;
                -- What the row of timetable.csv was called that a series came from: its identity, whatever its title.
            alter table series add column import_title varchar(160);
                update series set import_title = title where import_print is not null;
                -- A first or last day that no file gave: the day on which a row came, or was gone.
                alter table enrolments add column is_inferred boolean not null default false;
                -- A family may have one address, and a student none.
                alter table people alter column email drop not null;
                alter table people drop constraint people_email_unique;
                create index people_by_address on people (lower(email));
                alter table people add column sign_in varchar(60) unique;
                alter table people add column is_disabled_here boolean not null default false;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
                alter table people drop column is_disabled_here, drop column sign_in;
                drop index people_by_address;
                update people set email = sourced_id || '@nowhere.invalid' where email is null;
                alter table people alter column email set not null;
                alter table people add constraint people_email_unique unique (email);
                alter table enrolments drop column is_inferred;
                alter table series drop column import_title;
                alter table term_changes drop column import_id;
                alter table series_changes drop column import_id;
                drop table imports;
            SQL
            ,
        );
    }
};
