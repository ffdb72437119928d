<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Board;

use Nomada\App\View\Timetable\TermLine;

/** Rows of the board that are asked for by themselves. */
final readonly class BoardRows
{
    /** @param  list<BoardRow>  $rows */
    public function __construct(public array $rows, public TermLine $line, public int $today, public int $minute)
    {
    }
}
