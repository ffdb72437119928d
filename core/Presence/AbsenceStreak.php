<?php

declare(strict_types=1);

namespace Nomada\Core\Presence;

/** Absences that follow each other: from three on somebody should ask what is the matter. */
final class AbsenceStreak
{
    public const ISSUE = 3;

    /**
     * How many of the last sessions, one after the other, were missed. An excused one is neither: it is passed over.
     *
     * @param  list<Status>  $held  in the order of the sessions
     */
    public static function absences(array $held): int
    {
        $n = 0;
        foreach (array_reverse($held) as $status) {
            if ($status === Status::Excused) {
                continue;
            }
            if ($status !== Status::Absent) {
                break;
            }
            $n++;
        }

        return $n;
    }
}
