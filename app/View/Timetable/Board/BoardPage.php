<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Board;

use Nomada\App\View\SetUp\SetUpStep;
use Nomada\App\View\Stub;
use Nomada\App\View\Stubs;
use Nomada\App\View\Timetable\TermLine;

/** The board with its filters, grouped by year. */
final readonly class BoardPage
{
    /**
     * @param  array<string, list<BoardRow>>  $groups  by year
     * @param  array<int, array<string, list<int>>>  $days  of the rows that are written whole at once, by their ids:
     *   day numbers by the state of their sessions
     * @param  string  $year  whose sections alone are shown, or empty
     * @param  list<string>  $years
     * @param  list<SetUpStep>  $setUp  what is left of setting the school up, with what is done
     * @param  list<Need>  $needs  what needs the coordinator, the gravest first; none beside a filter
     */
    public function __construct(
        public array $groups,
        public array $days,
        public TermLine $line,
        public int $today,
        public int $minute,
        public BoardFilter $show,
        public string $year,
        public array $years,
        public array $needs,
        public array $setUp,
        public BoardTotals $totals,
    ) {
    }

    /**
     * @param  list<BoardRow>  $group
     * @return list<BoardRow> those that are written whole
     */
    public function whole(array $group): array
    {
        return array_values(array_filter($group, fn (BoardRow $r): bool => isset($this->days[$r->id])));
    }

    /** @param  list<BoardRow>  $group */
    public function stubs(array $group): Stubs
    {
        $later = array_filter($group, fn (BoardRow $r): bool => ! isset($this->days[$r->id]));

        return new Stubs(
            array_values(
                array_map(
                    fn (BoardRow $r): Stub => new Stub(
                        $r->sourcedId,
                        $r->sourcedId,
                        $r->name,
                        $r->url(),
                        small: $r->small(),
                    ),
                    $later,
                ),
            ),
            'sections',
            7,
            'row-s',
            true,
        );
    }

    /** @return array<string, string> what leads to another filter of the same board */
    public function with(BoardFilter $show, string $year): array
    {
        return array_filter(['show' => $show->value, 'year' => $year], fn (string $of): bool => $of !== '');
    }

    public function isAll(): bool
    {
        return $this->show === BoardFilter::All && $this->year === '';
    }

    /** @return list<BoardFilter> */
    public function filters(): array
    {
        return BoardFilter::buttons();
    }

    public function sectionsWithIssues(): int
    {
        return $this->totals->of(BoardFilter::Issues);
    }
}
