<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Board;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Say;
use Nomada\App\View\Requests\RequestList;
use Nomada\App\View\Timetable\Clashes\ClashList;
use Nomada\App\View\Timetable\Clashes\ClashRow;
use Nomada\Core\Issue;

/** What needs a coordinator first: what is wrong before what is still to do, each with its act. */
final readonly class Needs
{
    private const SHOWN = 5;

    public function __construct(private ClashList $clashes)
    {
    }

    /**
     * @param  list<BoardRow>  $rows  all sections
     * @return list<Need> the first few, the gravest before the others
     */
    public function of(Term $term, Person $for, array $rows): array
    {
        $needs = array_map($this->clash(...), $this->clashes->rows($term, $for, self::SHOWN));
        $sums = [];
        foreach ($rows as $row) {
            foreach ($row->status->issues() as $issue) {
                if ($issue->isWrong && $issue->kind !== 'clash') {
                    $needs[] = $this->ofSection($row, $issue);
                } elseif (! $issue->isWrong) {
                    $sums[$issue->kind][] = $row;
                }
            }
        }
        $waiting = RequestList::waiting($term);
        if ($waiting > 0) {
            // Somebody waits for these.
            array_unshift(
                $needs,
                new Need(
                    false,
                    trans_choice('board.needs.requests', $waiting),
                    (string) __('board.needs.decide'),
                    route('requests'),
                ),
            );
        }
        foreach ($sums as $kind => $of) {
            $needs[] = $this->sum($kind, $of);
        }

        return array_slice($needs, 0, self::SHOWN);
    }

    private function clash(ClashRow $row): Need
    {
        return new Need(
            true,
            implode(' / ', $row->sections).
                ': '.
                trans_choice("clashes.words.$row->kind", $row->people).
                " ($row->dates)",
            (string) __('board.needs.clash'),
            route('clashes', ['show' => $row->kind]),
            $row->asksForTimes() ? route('clashes.options', ['key' => $row->key]) : null,
        );
    }

    private function ofSection(BoardRow $row, Issue $issue): Need
    {
        $do = match ($issue->kind) {
            'no-account', 'beyond' => 'accounts',
            'refused' => 'publish',
            'no-time' => 'place',
            default => 'plan',
        };

        return new Need(
            true,
            "$row->name: ".Say::this($issue->words),
            (string) __("board.needs.$do"),
            $issue->kind === 'no-time' ? route('fix', 'place') : $row->leadsTo($issue),
        );
    }

    /** @param  list<BoardRow>  $rows  the sections that have it */
    private function sum(string $kind, array $rows): Need
    {
        [$do, $url] = match ($kind) {
            'no-link' => ['link', route('joining', ['show' => 'missing'])],
            'not-registered' => ['register', route('registration', ['show' => 'left'])],
            'absences' => ['attendance', route('records')],
            'changed-there' => ['outside', route('drift')],
            default => ['publish', route('publishing')],
        };

        return new Need(
            false,
            trans_choice("board.needs.sums.$kind", count($rows), ['section' => $rows[0]->name]),
            (string) __("board.needs.$do"),
            $url,
        );
    }
}
