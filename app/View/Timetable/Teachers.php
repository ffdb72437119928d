<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Support\Clock;

/** The first teacher of each section, as `I. Belmar`. */
final class Teachers
{
    /**
     * @param  list<int>  $sections
     * @return array<int, string> by section
     */
    public static function of(array $sections): array
    {
        $day = app(Clock::class)->schoolDay()->iso();

        return DB::table('parts')
            ->join('people', 'people.id', '=', 'person_id')
            ->whereIn('section_id', array_values(array_unique($sections)))
            ->where('parts.role', 'teacher')
            // The last one read counts: one who teaches it now before one who did or will, the first teacher before
            // others.
            ->orderByRaw("coalesce(ends_on, 'infinity') >= ?, coalesce(begins_on, '-infinity') <= ?", [$day, $day])
            ->orderBy('is_primary')
            ->get(['section_id', 'given_name', 'family_name'])
            ->mapWithKeys(
                fn (object $t): array => [
                    $t->section_id => mb_substr($t->given_name, 0, 1).'. '.$t->family_name,
                ],
            )
            ->all();
    }
}
