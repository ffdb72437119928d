<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Term\LocalDate;

/**
 * Moves one session to another time, alone, with the later ones of its series, or with all of them.
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
