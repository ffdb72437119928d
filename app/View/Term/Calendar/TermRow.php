<?php

declare(strict_types=1);

namespace Nomada\App\View\Term\Calendar;

/** One term of the school. */
final readonly class TermRow
{
    /** @param  string  $first  day and month; $last likewise; $year the first day's, $lastYear the last one's */
    public function __construct(
        public int $id,
        public string $title,
        public string $first,
        public string $year,
        public string $last,
        public string $lastYear,
        public int $sections,
    ) {
    }
}
