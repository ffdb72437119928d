<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

// What every page counts has all in its index that is asked of it, so that no row is looked at.
return new class extends Migration {
    private const INDEXES = [
        'enrolments_of_students' => "enrolments (section_id, ends_on, disabled_on) where role = 'student'",
        'registrations_counted' => "registrations (series_id, person_id, only_day) where state = 'accepted'",
        'placements_differing' => 'placements (section_id)
            where not left_alone and wanted_print is distinct from standing_print',
        'placements_standing' => 'placements (section_id) where standing_print is not null',
    ];

    private const BEFORE = [
        'enrolments_of_students' => "enrolments (section_id, ends_on) where role = 'student'",
        'placements_differing' => 'placements (section_id) where wanted_print is distinct from standing_print',
    ];

    public function up(): void
    {
        $this->instead(self::INDEXES);
    }

    public function down(): void
    {
        $this->instead(self::BEFORE);
    }

    /** @param  array<string, string>  $indexes */
    private function instead(array $indexes): void
    {
        foreach (array_keys(self::INDEXES) as $name) {
            DB::statement("drop index if exists $name");
        }
        foreach ($indexes as $name => $on) {
            DB::statement("create index $name on $on");
        }
    }
};
