<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Board;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Clock;
use Nomada\App\View\LaterRows;
use Nomada\App\View\SetUp\SetUpList;
use Nomada\App\View\SetUp\SetUpStep;
use Nomada\App\View\Timetable\TermLine;

/** Looks up the board with its filters. */
final readonly class BoardPages
{
    public function __construct(
        private BoardQuery $query,
        private BoardDays $days,
        private Needs $needs,
        private SetUpList $setUp,
        private Clock $clock,
    ) {
    }

    /** @param  string  $year  whose sections alone are shown, or empty */
    public function page(Term $term, Person $person, BoardFilter $show, string $year): BoardPage
    {
        $all = $this->query->rows($term, $person);
        $rows = array_values(
            array_filter($all, fn (BoardRow $r): bool => ($year === '' || $r->year === $year) && $show->takes($r)),
        );
        $groups = [];
        foreach ($rows as $row) {
            $groups[$row->year][] = $row;
        }
        $zone = $term->calendar()->zone;
        [$day, $minute] = $zone->wall($this->clock->seconds());

        return new BoardPage(
            $groups,
            $this->days->of($term, array_slice($rows, 0, LaterRows::AT_FIRST)),
            new TermLine($term->calendar()),
            $day,
            $minute,
            $show,
            $year,
            array_values(array_unique(array_map(fn (BoardRow $r): string => $r->year, $all))),
            $person->isCoordinator() && $show === BoardFilter::All && $year === ''
                ? $this->needs->of($term, $person, $all)
                : [],
            $person->isCoordinator() && $show === BoardFilter::All && $year === '' ? $this->left($term) : [],
            new BoardTotals(
                count($all),
                $this->query->sessions(array_map(fn (BoardRow $r): int => $r->id, $all)),
                count($term->closures),
                array_combine(
                    array_column(BoardFilter::cases(), 'value'),
                    array_map(
                        fn (BoardFilter $of): int => count(array_filter($all, $of->takes(...))),
                        BoardFilter::cases(),
                    ),
                ),
            ),
        );
    }

    /** @return list<SetUpStep> none once every step is done, or the list was hidden */
    private function left(Term $term): array
    {
        $steps = $this->setUp->isWanted() ? $this->setUp->of($term) : [];

        return array_filter($steps, fn (SetUpStep $s): bool => ! $s->isDone()) === [] ? [] : $steps;
    }

    /**
     * Rows that are asked for on their own; of sections that the person does not see, none.
     *
     * @param  list<string>  $sections  sourcedIds
     */
    public function rows(Term $term, Person $person, array $sections): BoardRows
    {
        $ids = Section::query()->where('term_id', $term->id)->whereIn('sourced_id', $sections)->pluck('id')->all();
        [$day, $minute] = $term->calendar()->zone->wall($this->clock->seconds());

        $rows = $this->query->rows($term, $person, array_values(array_map(intval(...), $ids)));

        return new BoardRows($rows, $this->days->of($term, $rows), new TermLine($term->calendar()), $day, $minute);
    }
}
