<?php

declare(strict_types=1);

namespace Nomada\App\View\Term\Calendar;

use Nomada\Core\Term\LocalDate;

/** One range of closed days, and how many sessions of how many sections it removes. */
final readonly class ClosedRow
{
    /** @param  LocalDate|null  $last  null where it is one day */
    public function __construct(
        public int $id,
        public string $reason,
        public LocalDate $first,
        public ?LocalDate $last,
        public int $sessions,
        public int $sections,
    ) {
    }
}
