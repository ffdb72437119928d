<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        // What an import did to things without a row of their own: guardians, series that came or came back, the zone.
        DB::unprepared('alter table imports add column others jsonb');
    }

    public function down(): void
    {
        DB::unprepared('alter table imports drop column others');
    }
};
