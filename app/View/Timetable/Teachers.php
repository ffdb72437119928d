<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Queries\ShortNames;
use Nomada\App\Support\Clock;
use Nomada\Core\Belonging\MembershipRole;

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
        $names = ShortNames::ofStaff();

        return DB::table('memberships')
            ->whereIn('section_id', array_values(array_unique($sections)))
            ->where('memberships.role', MembershipRole::Teacher)
            // The last one read counts: one who teaches it now before one who did or will, the first teacher before
            // others.
            ->orderByRaw("coalesce(ends_on, 'infinity') >= ?, coalesce(begins_on, '-infinity') <= ?", [$day, $day])
            ->orderBy('is_primary')
            ->get(['section_id', 'person_id'])
            ->mapWithKeys(
                fn (object $t): array => [
                    $t->section_id => $names[$t->person_id] ?? '',
                ],
            )
            ->all();
    }
}
