<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    public function up(): void
    {
        // What a line says as a code with parameters, so that each reads it in their own language. The words beside it
        // are what is searched, and all that older lines have.
        DB::unprepared(
            'alter table series_changes add column said jsonb;
            alter table term_changes add column said jsonb;
            alter table audit_log add column said jsonb',
        );
    }

    public function down(): void
    {
        DB::unprepared(
            'alter table series_changes drop column said;
            alter table term_changes drop column said;
            alter table audit_log drop column said',
        );
    }
};
