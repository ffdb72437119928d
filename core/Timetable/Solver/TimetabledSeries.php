<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

use Nomada\Core\Timetable\Attendee;
use Nomada\Core\Timetable\SeriesPlan;

/** A series as it stands in the timetable. */
final readonly class TimetabledSeries
{
    /**
     * @param  int  $id  below zero for sessions of a series that stay whatever the series does: those that another
     *   teacher takes, or that are for chosen students
     * @param  int  $series  whose sessions these are
     * @param  SeriesPlan|null  $plan  that holds from the day on; null where the series does not move whatever is asked
     * @param  list<array{int, int, int}>  $sessions  those that the plan makes: day number, UTC start, UTC end
     * @param  list<array{int, int, int}>  $fixed  those that keep a time of their own: moved and extra ones
     * @param  list<Attendee>  $people
     * @param  string|null  $room  that no other series can use at the same time
     * @param  int|null  $account  the host account, where it bears one session at once
     */
    public function __construct(
        public int $id,
        public int $series,
        public int $section,
        public ?SeriesPlan $plan,
        public array $sessions,
        public array $fixed,
        public array $people,
        public ?string $room = null,
        public ?int $account = null,
        public bool $isPinned = false,
    ) {
    }
}
