<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

// Before the first run nearly all placements are new, and each page that counts them would read every row.
return new class extends Migration {
    public function up(): void
    {
        DB::statement('create index placements_new on placements (section_id, place)
            where not left_alone and wanted_print is not null and standing_print is null');
    }

    public function down(): void
    {
        DB::statement('drop index placements_new');
    }
};
