<?php

declare(strict_types=1);

namespace Nomada\App\View\Term\Calendar;

use Nomada\App\Support\Say;
use Nomada\Core\Term\Because;
use Nomada\Core\Term\LocalDate;

/** One day of the term. */
final readonly class DayCell
{
    /**
     * @param  string|null  $closed  why it is closed
     * @param  int  $sessions  that are held on it
     * @param  string|null  $rotation  its label, where single days rotate
     */
    public function __construct(
        public LocalDate $date,
        public bool $isInTerm,
        public ?string $closed,
        public int $sessions,
        public ?string $rotation,
        public bool $isShort,
        public bool $isToday,
    ) {
    }

    /** A weekend is closed without saying so. */
    public function reason(): string
    {
        return $this->closed === Because::WEEKEND ? '' : Say::because($this->closed);
    }
}
