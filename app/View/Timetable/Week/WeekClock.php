<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Week;

/** Another person's clock beside the school's. */
final readonly class WeekClock
{
    /**
     * @param  string  $clockOf  the sourcedId of somebody on whose clock the day is shown too, or empty
     * @param  array<string, string>  $people  of other clocks, by sourcedId
     */
    public function __construct(
        public ?OtherClock $clock,
        public string $clockOf,
        public array $people,
    ) {
    }
}
