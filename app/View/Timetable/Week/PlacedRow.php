<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Week;

/** A row where it lies in a drawing. */
final readonly class PlacedRow
{
    public function __construct(public WeekRow $row, public int $y)
    {
    }
}
