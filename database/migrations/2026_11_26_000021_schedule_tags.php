<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            -- The version of an object but for its answers, where a calendar server invites (RFC 6638, 3.3).
            alter table placements add column schedule_tag varchar(255);
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('alter table placements drop column schedule_tag');
    }
};
