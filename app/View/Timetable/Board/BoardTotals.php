<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Board;

/** What all sections of the board come to, whatever of them is shown. */
final readonly class BoardTotals
{
    /** @param  array<string, int>  $by  sections by filter */
    public function __construct(
        public int $sections,
        public int $sessions,
        public int $closures,
        private array $by,
    ) {
    }

    /** How many sections a filter shows. */
    public function of(BoardFilter $filter): int
    {
        return $this->by[$filter->value];
    }
}
