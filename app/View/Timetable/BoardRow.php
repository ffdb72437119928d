<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Nomada\Core\Publishing\SectionStatus;

/** One section on the board, as plain values: a large board has six hundred, and models are slow to ask. */
final readonly class BoardRow
{
    /** @param  array<string, list<int>>  $days  day numbers by the state of their sessions */
    public function __construct(
        public int $id,
        public string $sourcedId,
        public string $name,
        public string $year,
        public string $meets,
        public string $teacher,
        public array $days,
        public int $sessions,
        public SectionStatus $status,
    ) {
    }
}
