<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

/** How many series somebody should have on a day at most; each one more counts once as advice. */
final readonly class DailyLimits
{
    /**
     * @param  array<int, list<array{string, int, string|null}>>  $people  by series: who is in it (a key of their own),
     *   how many series a day they should have at most, and the {@see DaySet} on which they are there (null for all)
     */
    public function __construct(public array $people)
    {
    }
}
