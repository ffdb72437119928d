<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

/** Sessions at the same time of day: minutes from midnight on the school's clock, and the days ({@see DaySet}). */
final readonly class Block
{
    /**
     * @param  int  $lane  blocks of different lanes share no day; one lane for each day of the week, or one for all
     * @param  int|null  $account  the host account, where it bears one session at once
     */
    public function __construct(
        public int $from,
        public int $to,
        public string $days,
        public int $lane = 0,
        public ?int $account = null,
    ) {
    }
}
