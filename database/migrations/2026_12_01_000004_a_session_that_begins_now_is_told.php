<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                alter table schools add column started_told varchar(10) not null default 'both'
                    check (started_told in ('email', 'stream', 'both'));
                -- False for what was told by email alone.
                alter table tellings add column is_in_stream boolean not null default true;
                -- False for a session over which no topic of the series' list is laid.
                alter table sessions add column takes_topic boolean not null default true;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            'alter table schools drop column started_told; alter table tellings drop column is_in_stream;
                alter table sessions drop column takes_topic;',
        );
    }
};
