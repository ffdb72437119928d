<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    private const INDEXES = [
        'enrolments_of_students' => "enrolments (section_id, ends_on) where role = 'student'",
        'sessions_held' => "sessions (ends_at) include (series_id) where state = 'planned'",
        'sessions_of_a_day' => "sessions (day) include (series_id) where state = 'planned'",
        'placements_differing' => 'placements (section_id) where wanted_print is distinct from standing_print',
        'placements_in_trouble' => 'placements (section_id) where trouble is not null',
    ];

    public function up(): void
    {
        foreach (self::INDEXES as $name => $on) {
            DB::statement("create index $name on $on");
        }
    }

    public function down(): void
    {
        foreach (array_keys(self::INDEXES) as $name) {
            DB::statement("drop index $name");
        }
    }
};
