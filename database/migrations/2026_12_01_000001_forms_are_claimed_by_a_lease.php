<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                -- What was kept until now held links in plain text. It only served to repeat an answer.
                delete from acts;
                alter table acts
                    drop column said,
                    -- Sealed: where the form led and what it said, which may contain somebody's link.
                    add column answer text,
                    -- Who is carrying the form out (host, process, its start, request), and until when at most.
                    add column held_by text,
                    add column held_until timestamptz,
                    -- Requests that wait for this form at the moment.
                    add column waiting integer not null default 0;
                alter table acts drop column leads_to;
                create index acts_under_way on acts (person_id) where answer is null;
            SQL
            ,
        );
        // For every connection, whatever pooler stands in between: nobody waits for a lock without end, and a request
        // that hangs in the middle of a transaction lets go of its locks.
        $name = (string) DB::selectOne('select quote_ident(current_database()) as name')->name;
        DB::unprepared("alter database $name set lock_timeout = '30s'");
        DB::unprepared("alter database $name set idle_in_transaction_session_timeout = '15min'");
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
                drop index acts_under_way;
                alter table acts drop column answer, drop column held_by, drop column held_until, drop column waiting,
                    add column leads_to text, add column said jsonb;
            SQL
            ,
        );
    }
};
