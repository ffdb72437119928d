<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                -- The browser that came in by a guest's pass keeps it: a sum of what stands in its cookie.
                alter table join_links add column held_sum char(64), add column held_at timestamptz,
                    add column held_browser varchar(255) not null default '',
                    -- The one session of a pass: the pass goes with it wherever it is moved.
                    add column only_session_id bigint references sessions on delete set null;
                update join_links l set only_session_id = s.id from sessions s
                    where l.kind = 'guest' and s.series_id = l.series_id and s.day = l.only_day;
                -- Another browser that asks to come in by a pass that is held: the teacher decides.
                create table pass_claims (
                    id bigserial primary key,
                    join_link_id bigint not null references join_links on delete cascade,
                    sum char(64) not null,
                    browser varchar(255) not null default '',
                    asked_at timestamptz not null,
                    decided_at timestamptz,
                    moved boolean not null default false,
                    unique (join_link_id, sum)
                );
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            'drop table pass_claims;
            alter table join_links drop column held_sum, drop column held_at, drop column held_browser,
                drop column only_session_id',
        );
    }
};
