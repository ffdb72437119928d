<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

// A plan counts what stands by section and place; before the first run there is none of it, and nothing to walk over.
return new class extends Migration {
    public function up(): void
    {
        DB::statement('drop index if exists placements_standing');
        DB::statement('create index placements_standing on placements (section_id, place)
            where standing_print is not null');
    }

    public function down(): void
    {
        DB::statement('drop index placements_standing');
        DB::statement('create index placements_standing on placements (section_id) where standing_print is not null');
    }
};
