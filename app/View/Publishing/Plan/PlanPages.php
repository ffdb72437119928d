<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Plan;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\PlanQuery;
use Nomada\App\Actions\Publishing\ToldSections;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\View\StandinAddress;
use Nomada\Core\Publishing\Place;

/**
 * Looks up the plan of a publish run over many sections.
 *
 * @phpstan-import-type Counts from PlanQuery
 */
final readonly class PlanPages
{
    public function __construct(
        private PlanQuery $plan,
        private ToldSections $told,
        private StandinAddress $standins,
    ) {
    }

    /**
     * @param  string  $show  chosen, all, or what differs
     * @param  array<string>|null  $chosen  sourcedIds
     * @param  string  $open  the sourcedId of the section whose plan is open, or empty
     */
    public function page(Term $term, Person $for, string $show, ?array $chosen, string $open): PlanPage
    {
        $sections = Section::query()
            ->where('term_id', $term->id)
            ->servedBy($for)
            ->withCount([
                'series',
                'series as linked_count' => fn ($q) => $q->whereHas(
                    'links',
                    fn ($l) => $l->where('kind', 'series')->whereNull('retired_at')->where('room', '!=', ''),
                ),
            ])
            ->get()
            ->sortBy(fn (Section $s): string => $s->order());
        $ids = array_values(array_map(intval(...), $sections->modelKeys()));
        $counts = $this->plan->counts($ids);
        $toTell = array_flip($this->told->waiting($ids));
        $rows = array_values(
            $sections
                ->map(fn (Section $s): PlanRow => $this->row($s, $counts[$s->id] ?? [], isset($toTell[$s->id])))
                ->all(),
        );

        return new PlanPage(
            array_values(
                array_filter(
                    $rows,
                    fn (PlanRow $r): bool => match ($show) {
                        'chosen' => in_array($r->section, (array) $chosen, true),
                        'all' => true,
                        default => $r->differs(),
                    },
                ),
            ),
            count(array_filter($rows, fn (PlanRow $r): bool => $r->differs())),
            count($rows),
            count(array_filter($rows, fn (PlanRow $r): bool => $r->isNotYet())),
            $show,
            $open,
            DB::table('outside_changes')
                ->join('published_items', 'published_items.id', '=', 'placement_id')
                ->whereIntegerInRaw('section_id', $sections->modelKeys())
                ->count(),
            $this->standins->controls(),
        );
    }

    /** @param  array<string, Counts>  $counts  by place */
    private function row(Section $section, array $counts, bool $isToTell): PlanRow
    {
        $places = [];
        foreach (Place::cases() as $place) {
            $places[$place->value] = $counts[$place->value] ?? PlanQuery::NONE;
        }
        $sum = fn (string ...$verbs): int => array_sum(
            array_map(fn (array $n): int => array_sum(array_intersect_key($n, array_flip($verbs))), $places),
        );
        $stands = $sum('leave', 'change', 'remove') > 0;

        return new PlanRow(
            $section->sourced_id,
            $section->name(),
            $places,
            match (true) {
                (int) $section->getAttribute('series_count') === 0 && ! $stands => 'no-timetable',
                (int) $section->getAttribute('linked_count') === 0 && ! $stands => 'no-link',
                $sum('trouble') > 0 => 'refused',
                $sum('add', 'change', 'remove') === 0 => $isToTell ? 'to-tell' : 'right',
                ! $stands => 'first',
                default => 'changed',
            },
            $isToTell,
        );
    }
}
