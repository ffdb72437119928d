<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/**
 * One dated member of a series. `day` is the date in the series' zone as a day number; `start` and `end` are UTC seconds.
 * A lost session carries the reason why its day is closed.
 */
final readonly class PlannedSession
{
    public function __construct(
        public int $day,
        public int $start,
        public int $end,
        public SessionState $state = SessionState::Planned,
        public ?string $reason = null,
    ) {
    }
}
