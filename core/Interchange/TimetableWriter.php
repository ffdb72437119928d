<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\TypedTime;

/**
 * Writes timetable.csv as TimetableReader reads it: one series a row. A rule ends with the last session that is
 * planned; a pattern that no rule has is written one row a date.
 */
final class TimetableWriter
{
    public const HEADER = ['class_sourced_id', 'title', 'dtstart', 'minutes', 'tzid', 'rrule'];

    /**
     * @param  list<PlannedSession>  $sessions  by the plan, ascending: neither moved nor extra ones
     * @return list<list<string|int>>
     */
    public static function rows(string $section, string $title, SeriesPlan $plan, array $sessions): array
    {
        if ($sessions === []) {
            return [];
        }
        $time = TypedTime::format($plan->startMinute);
        $rule = $plan->pattern->rule();
        $row = fn (int $day, string $title, string $rule): array => [
            $section,
            $title,
            (new LocalDate($day))->iso()."T$time",
            $plan->minutes,
            $plan->zone->name,
            $rule,
        ];
        if ($rule === null) {
            return array_map(
                fn (PlannedSession $s): array => $row($s->day, "$title, ".(new LocalDate($s->day))->short(), ''),
                $sessions,
            );
        }
        $until = gmdate(
            'Ymd\THis\Z',
            $plan->zone->instant($sessions[count($sessions) - 1]->day, $plan->startMinute),
        );

        return [$row($sessions[0]->day, $title, "$rule;UNTIL=$until")];
    }
}
