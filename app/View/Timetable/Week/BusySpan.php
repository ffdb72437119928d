<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Week;

/** When a teacher is busy by their own calendar, on their row. */
final readonly class BusySpan
{
    public function __construct(public float $x, public float $width, public string $title)
    {
    }
}
