<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                -- Why a session is cancelled stays written down while its day is closed.
                alter table sessions add column cancelled text, add column keeps_topic boolean not null default false;
                update sessions set cancelled = coalesce(reason, '') where state = 'cancelled';
                -- What was closed by hand is not for an import to open.
                alter table closures add column is_local boolean not null default false;
                -- A change of a term's calendar, with its rows before and after. Each series that it touched has a
            -- line of its own in series_changes.
            create table term_changes (
                    id bigserial primary key,
                    term_id bigint not null references terms (id) on delete cascade,
                    person_id bigint references people (id) on delete set null,
                    at timestamptz not null,
                    words varchar(300) not null,
                    before jsonb not null,
                    after jsonb not null,
                    undone_at timestamptz,
                    undone_by bigint references people (id) on delete set null
                );
                create index term_changes_of_a_term on term_changes (term_id, id);
                alter table series_changes add column term_change_id bigint references term_changes (id) on delete
                    cascade;
                create index series_changes_of_a_term_change on series_changes (term_change_id)
                    where term_change_id is not null;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
                alter table closures drop column is_local;
                alter table series_changes drop column term_change_id;
                drop table term_changes;
                alter table sessions drop column cancelled, drop column keeps_topic;
            SQL
            ,
        );
    }
};
