<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Term\LocalDate;

/** Many dates in few words: "Thursdays, 18 Feb to 4 Mar", "Tue 9 Feb, Thu 11 Feb and 14 more". */
final class FoldedDates
{
    private const PLURALS = [
        1 => 'Mondays',
        'Tuesdays',
        'Wednesdays',
        'Thursdays',
        'Fridays',
        'Saturdays',
        'Sundays',
    ];

    /** @param  list<int>  $days  day numbers, ascending */
    public static function words(array $days): string
    {
        if ($days === []) {
            return '';
        }
        $weekdays = array_values(array_unique(array_map(LocalDate::weekdayOf(...), $days)));
        sort($weekdays);
        $first = new LocalDate($days[0]);
        $last = new LocalDate($days[count($days) - 1]);
        if (count($days) < 3) {
            return implode(' and ', array_map(fn (int $d): string => (new LocalDate($d))->short(), $days));
        }
        $names =
            count($weekdays) >= 5
                ? 'most days'
                : implode(', ', array_map(fn (int $w): string => self::PLURALS[$w] ?? '', $weekdays));

        return "$names, {$first->dayMonth()} to {$last->dayMonth()}";
    }
}
