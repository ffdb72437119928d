<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Week;

/** An hour of a day as it is drawn. */
final readonly class HourLine
{
    /** @param  float  $x  in px beside the names of the rows; $isNamed where there is room to say it */
    public function __construct(public int $hour, public float $x, public bool $isNamed)
    {
    }
}
