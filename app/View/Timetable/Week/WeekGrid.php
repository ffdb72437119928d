<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Week;

/** A week as it is drawn: its days, hours and rows. */
final readonly class WeekGrid
{
    /**
     * @param  list<WeekDay>  $days
     * @param  array{int, int}  $hours  from which hour to which
     * @param  list<WeekRow>  $rows
     * @param  int  $width  of the days, in px
     */
    public function __construct(
        public array $days,
        public array $hours,
        public array $rows,
        public int $width,
    ) {
    }
}
