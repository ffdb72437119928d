<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

/**
 * Days of a span as a string with one byte a day, 1 where the day is in it: two sets are intersected by one `&`, which
 * no array of days is.
 */
final class DaySet
{
    /**
     * @param  iterable<int>  $days  day numbers; those outside the span are left out
     * @param  int  $first  the day number of the first byte
     */
    public static function of(iterable $days, int $first, int $length): string
    {
        $set = str_repeat("\0", $length);
        foreach ($days as $day) {
            if ($day >= $first && $day < $first + $length) {
                $set[$day - $first] = "\1";
            }
        }

        return $set;
    }

    public static function count(string $set): int
    {
        return substr_count($set, "\1");
    }
}
