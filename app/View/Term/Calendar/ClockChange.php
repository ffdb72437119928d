<?php

declare(strict_types=1);

namespace Nomada\App\View\Term\Calendar;

use Nomada\Core\Term\LocalDate;

/** The clocks of the school change on a day. */
final readonly class ClockChange
{
    public function __construct(public bool $isForward, public LocalDate $on)
    {
    }
}
