<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SeriesPlan;

/**
 * Writes timetable.csv as TimetableReader reads it: one series a row. A rule ends with the last session that is
 * planned; a pattern that no rule has is written one row a date.
 */
final class TimetableWriter
{
    public const HEADER = [
        'class_sourced_id',
        'title',
        'dtstart',
        'minutes',
        'tzid',
        'rrule',
        'series_uid',
        'per_week',
        'until',
    ];

    /**
     * A series that has no time yet.
     *
     * @param  string  $from  ISO date, as $until; null for the end of the term
     * @return list<string|int>
     */
    public static function toPlace(
        string $section,
        string $title,
        int $perWeek,
        int $minutes,
        string $from,
        ?string $until,
    ): array {
        return [$section, $title, $from, $minutes, '', '', '', $perWeek, (string) $until];
    }

    /**
     * @param  list<PlannedSession>  $sessions  each counts by its date of the pattern, wherever it was moved to; an
     *   extra one has none, and is left out
     * @param  string  $uid  of the series: who reads the row back knows that it is the same one
     * @return list<list<string|int>>
     */
    public static function rows(
        string $section,
        string $title,
        SeriesPlan $plan,
        array $sessions,
        string $uid = '',
    ): array {
        $days = array_filter(
            array_map(fn (PlannedSession $s): ?int => $s->slot(), $sessions),
            fn (?int $day): bool => $day !== null,
        );
        sort($days);
        if ($days === []) {
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
            $uid,
            '',
            '',
        ];
        if ($rule === null) {
            return array_map(
                fn (int $day): array => $row($day, "$title, ".(new LocalDate($day))->short(), ''),
                $days,
            );
        }
        $until = gmdate('Ymd\THis\Z', $plan->zone->instant($days[count($days) - 1], $plan->startMinute));

        return [$row($days[0], $title, "$rule;UNTIL=$until")];
    }
}
