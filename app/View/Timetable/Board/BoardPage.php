<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Board;

use Nomada\App\View\Timetable\TermLine;

/** The board with its filters, grouped by year. */
final readonly class BoardPage
{
    /**
     * @param  array<string, list<BoardRow>>  $groups  by year
     * @param  array<int, true>  $whole  ids of the rows that are written whole at once
     * @param  string  $show  snags, unpublished, or empty for all
     * @param  string  $year  whose sections alone are shown, or empty
     * @param  list<string>  $years
     */
    public function __construct(
        public array $groups,
        public array $whole,
        public TermLine $line,
        public int $today,
        public int $minute,
        public string $show,
        public string $year,
        public array $years,
        public BoardTotals $totals,
    ) {
    }

    /** @return array<string, string> what leads to another filter of the same board */
    public function with(string $show, string $year): array
    {
        return array_filter(['show' => $show, 'year' => $year], fn (string $of): bool => $of !== '');
    }
}
