<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Board;

/** What all sections of the board come to, whatever of them is shown. */
final readonly class BoardTotals
{
    public function __construct(
        public int $sections,
        public int $sessions,
        public int $closures,
        public int $snags,
        public int $unpublished,
    ) {
    }
}
