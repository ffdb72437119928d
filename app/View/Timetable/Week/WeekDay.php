<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Week;

use Nomada\Core\Term\LocalDate;

/** One day of a week as it is drawn. A closed one is folded into a thin band. */
final readonly class WeekDay
{
    /**
     * @param  float  $x  its left edge, in px beside the names of the rows; $width likewise
     * @param  float  $perMinute  px
     * @param  string|null  $closed  why it is closed
     * @param  string  $note  its label of the rotation, whether it is short
     * @param  int|null  $offset  of the school's clock, in seconds; null where it changes on that day
     * @param  list<HourLine>  $hours
     */
    public function __construct(
        public LocalDate $date,
        public float $x,
        public float $width,
        public float $perMinute,
        public ?string $closed,
        public string $note,
        public ?int $offset,
        public array $hours,
    ) {
    }
}
