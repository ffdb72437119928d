<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
                -- Changes of several series that were saved in one step, and are undone in one.
                alter table series_changes add column batch uuid;
                create index series_changes_batch on series_changes (batch) where batch is not null;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('alter table series_changes drop column batch');
    }
};
