<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\PlanQuery;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\View\StandinAddress;
use Nomada\Core\Publishing\Place;

/** The plan of a publish run over many sections: counts a section and destination, what differs first. */
final readonly class PlanPage
{
    public function __construct(private PlanQuery $plan, private StandinAddress $standins)
    {
    }

    /**
     * @param  array<string>|null  $chosen  sourcedIds
     * @return array<string, mixed>
     */
    public function data(Term $term, Person $for, string $show, ?array $chosen, string $open): array
    {
        $sections = Section::query()
            ->where('term_id', $term->id)
            ->servedBy($for)
            ->withCount([
                'series',
                'series as linked_count' => fn ($q) => $q->whereHas(
                    'links',
                    fn ($l) => $l->where('kind', 'series')->whereNull('retired_at'),
                ),
            ])
            ->get()
            ->sortBy(fn (Section $s): string => $s->order());
        $counts = $this->plan->counts(array_values($sections->modelKeys()));
        $total = array_fill_keys(array_column(Place::cases(), 'value'), PlanQuery::NONE);
        $rows = [];
        $differs = 0;
        foreach ($sections as $section) {
            $places = array_map(
                fn (Place $p): array => $counts[$section->id][$p->value] ?? PlanQuery::NONE,
                array_combine(array_column(Place::cases(), 'value'), Place::cases()),
            );
            $steps = array_map(fn (array $c): int => $c['add'] + $c['change'] + $c['remove'], $places);
            $n = array_sum($steps);
            $stands =
                array_sum(array_map(fn (array $c): int => $c['leave'] + $c['change'] + $c['remove'], $places)) > 0;
            $differs += $n > 0 ? 1 : 0;
            $isShown = match ($show) {
                'chosen' => in_array($section->sourced_id, (array) $chosen, true),
                'all' => true,
                default => $n > 0,
            };
            if (! $isShown) {
                continue;
            }
            foreach ($places as $place => $c) {
                foreach ($c as $verb => $k) {
                    $total[$place][$verb] += $k;
                }
            }
            $rows[] = [
                'section' => $section,
                'places' => $places,
                'differs' => $n,
                // In the order of the places.
                'steps' => array_values($steps),
                'note' => $this->note($section, $places, $n, $stands),
            ];
        }

        return [
            'mayAll' => $for->isCoordinator(),
            'rows' => $rows,
            'total' => $total,
            'differs' => $differs,
            'all' => $sections->count(),
            'show' => $show,
            'open' => $open,
            'steps' => array_sum(array_map(fn (array $r): int => $r['differs'], $rows)),
            'drifts' => DB::table('drifts')
                ->join('placements', 'placements.id', '=', 'placement_id')
                ->whereIntegerInRaw('section_id', $sections->modelKeys())
                ->count(),
            'controls' => $this->standins->controls(),
        ];
    }

    /** @param  array<string, array<string, int>>  $places */
    private function note(Section $section, array $places, int $differs, bool $stands): string
    {
        $series = (int) $section->getAttribute('series_count');

        return match (true) {
            $series === 0 && ! $stands => 'no timetable yet',
            (int) $section->getAttribute('linked_count') === 0 && ! $stands => 'no join link yet',
            array_sum(array_column($places, 'trouble')) > 0 => 'refused by a destination',
            $differs === 0 => 'as it should be',
            ! $stands => 'first time',
            default => 'changed since it was published',
        };
    }
}
