<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        // What somebody chose to read, and what the roster says of them: tags of BCP 47; null where nothing is said.
        DB::unprepared(
            'alter table people add column language varchar(35), add column roster_language varchar(35)',
        );
    }

    public function down(): void
    {
        DB::unprepared('alter table people drop column language, drop column roster_language');
    }
};
