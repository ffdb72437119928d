<?php

declare(strict_types=1);

namespace Nomada\App\View\Recording;

use Nomada\Core\Term\LocalDate;

/** One place in a recording at which the words were said. */
final readonly class SearchHit
{
    public function __construct(
        public int $recording,
        public LocalDate $day,
        public string $topic,
        public int $at,
        public string $said,
        public string $speaker,
    ) {
    }
}
