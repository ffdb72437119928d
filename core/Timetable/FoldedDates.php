<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;

/** Many dates in few words: "Thursdays, 18 Feb to 4 Mar", "Tue 9 Feb and Thu 11 Feb". */
final class FoldedDates
{
    /** From how many different weekdays on they are not named one by one. */
    private const MOST = 5;

    /** @param  list<int>  $days  day numbers, ascending */
    public static function said(array $days): Said
    {
        if ($days === []) {
            return new Said('folded.none');
        }
        $first = new LocalDate($days[0]);
        $last = new LocalDate($days[count($days) - 1]);
        if (count($days) < 3) {
            return new Said(count($days) === 1 ? 'folded.one' : 'folded.two', ['first' => $first, 'last' => $last]);
        }
        $weekdays = array_values(array_unique(array_map(LocalDate::weekdayOf(...), $days)));
        sort($weekdays);

        return new Said('folded.many', [
            'days' => count($weekdays) >= self::MOST
                ? new Said('folded.most')
                : Said::list(array_map(fn (int $n): Said => new Said("weekday_plurals.$n"), $weekdays)),
            'from' => Said::dayMonth($first),
            'until' => Said::dayMonth($last),
        ]);
    }
}
