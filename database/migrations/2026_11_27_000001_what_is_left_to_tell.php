<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        // Until when something is left to tell of a section that students were not told yet; null where nothing is.
        DB::unprepared('alter table told_sections add column tell_until timestamptz');
        // Of what stands so far nobody has looked: the next run does.
        DB::table('told_sections')->update(['tell_until' => 'infinity']);
    }

    public function down(): void
    {
        DB::unprepared('alter table told_sections drop column tell_until');
    }
};
