<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            create table answers (
                series_id bigint not null references series on delete cascade,
                person_id bigint not null references people on delete cascade,
                -- The session's moment of its pattern where the answer is about one; the beginning of time for all.
                session_at timestamptz not null default 'epoch',
                answer text not null check (answer in ('accepted', 'tentative', 'declined')),
                at timestamptz not null,
                primary key (series_id, person_id, session_at)
            );
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('drop table answers');
    }
};
