<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        // Ids of the students whom a session is for; null where it is for everybody on the rosters. Kept with the row,
        // so that undoing gives it back as it was.
        DB::unprepared('alter table sessions add column chosen jsonb');
    }

    public function down(): void
    {
        DB::unprepared('alter table sessions drop column chosen');
    }
};
