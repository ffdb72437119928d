<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    private const COLUMNS = [
        'people' => ['family_name' => 255, 'given_name' => 255],
        'courses' => ['title' => 255],
        'sections' => ['title' => 255],
        'series' => ['title' => 255],
        'host_accounts' => ['name' => 60],
        'drop_in_rooms' => ['name' => 80],
    ];

    /** Marks, capitals and numbers as people look them up, and not by their codes (App\Support\Order). */
    public function up(): void
    {
        DB::unprepared("create collation if not exists by_name (provider = icu, locale = 'und-u-kn-true')");
        $this->sortBy('by_name');
    }

    public function down(): void
    {
        $this->sortBy('"default"');
        DB::unprepared('drop collation if exists by_name');
    }

    private function sortBy(string $collation): void
    {
        foreach (self::COLUMNS as $table => $columns) {
            $changes = [];
            foreach ($columns as $column => $length) {
                $changes[] = "alter column $column type varchar($length) collate $collation";
            }
            DB::unprepared("alter table $table ".implode(', ', $changes));
        }
    }
};
