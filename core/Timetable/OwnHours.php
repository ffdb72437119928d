<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Term\TypedTime;
use Nomada\Core\Term\Zone;

/** At which times of their own clock sessions meet students who live in other zones. */
final class OwnHours
{
    /**
     * The sessions that are outside some hours there, by the time that they have on that clock. A zone whose clock
     * changes on other days than the school's has several.
     *
     * @param  list<array{int, int, int}>  $sessions  day number, UTC start, UTC end
     * @param  array{int, int}  $hours  minutes from midnight
     * @return array<string, int> sessions by `05:00–05:45`
     */
    public static function outside(array $sessions, Zone $zone, array $hours): array
    {
        $out = [];
        foreach ($sessions as [, $start, $end]) {
            $from = $zone->wall($start)[1];
            $to = $from + intdiv($end - $start, 60);
            if ($from < $hours[0] || $to > $hours[1]) {
                $when = TypedTime::format($from).'–'.TypedTime::format($to % 1440);
                $out[$when] = ($out[$when] ?? 0) + 1;
            }
        }
        ksort($out);

        return $out;
    }
}
