<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                -- Who and which days a clash was about when somebody accepted it: more than that is not accepted.
                alter table accepted_clashes add column people jsonb not null default '[]',
                    add column days jsonb not null default '[]';
                update accepted_clashes k set people = c.people, days = c.days from clashes c
                    where k.key = c.kind || ' ' || c.series_id || coalesce(' ' || c.other_series_id, '');
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('alter table accepted_clashes drop column people, drop column days');
    }
};
