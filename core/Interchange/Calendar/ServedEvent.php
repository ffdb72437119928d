<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

/** One event as a calendar shows it; start and end in UTC seconds. */
final readonly class ServedEvent
{
    public function __construct(
        public string $uid,
        public int $start,
        public int $end,
        public string $summary,
        public string $link,
    ) {
    }
}
