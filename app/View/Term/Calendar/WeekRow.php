<?php

declare(strict_types=1);

namespace Nomada\App\View\Term\Calendar;

use Nomada\Core\Term\LocalDate;

/** One week of the term. */
final readonly class WeekRow
{
    /**
     * @param  list<DayCell>  $days
     * @param  string|null  $rotation  its label, where whole weeks rotate
     * @param  ClockChange|null  $change  what the clocks do in it
     */
    public function __construct(
        public int $n,
        public LocalDate $monday,
        public array $days,
        public ?string $rotation,
        public ?ClockChange $change,
    ) {
    }
}
