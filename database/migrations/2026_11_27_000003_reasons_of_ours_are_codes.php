<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration {
    private const CODES = [
        'Weekend' => '=weekend',
        'Outside the term' => '=outside',
        'At the time of another session of this series' => '=overlaps',
        'No date of its pattern on this calendar' => '=no_date',
        'No day plan' => '=no_plan',
        'Not in the calendar that was read' => '=not_read',
    ];

    public function up(): void
    {
        foreach (self::CODES as $words => $code) {
            // What a calendar that was read leaves out is cancelled, all else lost.
            DB::table('sessions')->where('reason', $words)->update(['reason' => $code]);
            DB::table('sessions')->where('cancelled', $words)->update(['cancelled' => $code]);
        }
        DB::statement(
            "update sessions set reason = regexp_replace(reason, '^No period (.*) \\((.*)\\)$', '=no_period|\\1|\\2')
            where state = 'lost'",
        );
    }

    public function down(): void
    {
        foreach (self::CODES as $words => $code) {
            DB::table('sessions')->where('reason', $code)->update(['reason' => $words]);
            DB::table('sessions')->where('cancelled', $code)->update(['cancelled' => $words]);
        }
        DB::statement(
            "update sessions set reason = regexp_replace(reason, '^=no_period\\|(.*)\\|(.*)$', 'No period \\1 (\\2)')",
        );
    }
};
