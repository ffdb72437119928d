<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Nomada\App\Actions\Timetable\RefreshClashes;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\CurrentTerm;
use Nomada\App\Support\Say;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\Clash;
use Nomada\Core\Timetable\FoldedDates;

final class ClashesCommand extends Sections
{
    protected $signature = 'nomada:clashes {--section=* : sourcedId; all where none is given} {--json}';

    protected $description = 'List clashes and the days they are on';

    public function handle(RefreshClashes $clashes, CurrentTerm $current): int
    {
        $sections = $this->sections();
        $term = $current->find();
        if ($sections === null || $term === null) {
            return self::FAILURE;
        }
        $found = $clashes->find(
            $term,
            $this->option('section') === [] ? null : array_values($sections->modelKeys()),
        );
        $ids = Section::query()->where('term_id', $term->id)->pluck('sourced_id', 'id');
        $rows = array_map(
            fn (Clash $c): array => [
                'kind' => $c->kind,
                'gravity' => $c->gravity(),
                'sections' => array_map(fn (int $s): string => (string) $ids[$s], $c->sections),
                'people' => count($c->people),
                'dates' => array_map(fn (int $d): string => (new LocalDate($d))->iso(), $c->days),
            ],
            $found,
        );
        if ($this->option('json')) {
            $this->asJson($rows);
        } else {
            $this->drawTable(
                ['kind', 'gravity', 'sections', 'people', 'days'],
                array_map(
                    fn (array $r, Clash $c): array => [
                        $r['kind'],
                        $r['gravity'],
                        implode(', ', $r['sections']),
                        $r['people'],
                        Say::this(FoldedDates::said($c->days)),
                    ],
                    $rows,
                    $found,
                ),
            );
        }

        return self::SUCCESS;
    }
}
