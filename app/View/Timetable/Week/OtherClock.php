<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Week;

/** The hours of a day on somebody else's clock, where the school's hours are. */
final readonly class OtherClock
{
    /** @param  array<string, float>  $ticks  where each hour lies, by what it is there */
    public function __construct(public string $place, public array $ticks)
    {
    }
}
