<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Board;

use Nomada\App\View\Timetable\TermLine;

/** Rows of the board that are asked for on their own. */
final readonly class BoardRows
{
    /**
     * @param  list<BoardRow>  $rows
     * @param  array<int, array<string, list<int>>>  $days  day numbers by the state of their sessions, by the rows' ids
     */
    public function __construct(
        public array $rows,
        public array $days,
        public TermLine $line,
        public int $today,
        public int $minute,
    ) {
    }
}
