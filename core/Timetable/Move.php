<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Term\LocalDate;

/**
 * One session that is to be held at another time; with the later ones of its series, or all of them, where it says so.
 */
final readonly class Move
{
    /**
     * @param  int  $session  id of the session, and $series of its series
     * @param  int  $start  minutes from midnight on the school's clock
     * @param  int  $minutes  its length
     */
    public function __construct(
        public int $session,
        public int $series,
        public LocalDate $day,
        public int $start,
        public int $minutes,
        public Reach $reach,
    ) {
    }
}
