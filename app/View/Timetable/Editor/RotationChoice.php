<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Editor;

/** Which days or weeks of the term's rotation a series is on. */
final readonly class RotationChoice
{
    /**
     * @param  list<Tick>  $labels
     * @param  list<Tick>  $weekdays  on which, where whole weeks rotate; otherwise none
     */
    public function __construct(public bool $byWeek, public array $labels, public array $weekdays)
    {
    }
}
