<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            -- What others have put on the pages and streams that we publish to; found when those are read back.
            create table added_there (
                id bigserial primary key,
                section_id bigint not null references sections (id) on delete cascade,
                place varchar(16) not null,
                key varchar(255) not null,
                title varchar(255) not null,
                etag varchar(255),
                -- Somebody has seen it, and lets it stand.
                is_left boolean not null default false,
                found_at timestamptz not null,
                unique (place, key)
            );
            create index added_there_section on added_there (section_id);
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('drop table added_there');
    }
};
