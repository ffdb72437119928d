<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Publishing\Run;
use Nomada\App\Models\Term\Person;
use Nomada\Core\Publishing\Place;
use stdClass;

/** A run as far as it has come. */
final class RunPage
{
    /** @return array<string, mixed> */
    public function data(Run $run): array
    {
        $lanes = [];
        foreach (
            $run->kind === 'links'
                ? ['link' => 'Conference bridge']
                : array_combine(
                    array_column(Place::cases(), 'value'),
                    array_map(fn (Place $p): string => $p->title(), Place::cases()),
                ) as $lane => $title
        ) {
            $lanes[$lane] = [
                'title' => $title,
                'done' => 0,
                'failed' => 0,
                'asked' => 0,
                'waiting' => 0,
                'all' => 0,
            ];
        }
        foreach (
            DB::table('run_steps')
                ->where('run_id', $run->id)
                ->groupBy('lane', 'state')
                ->get(['lane', 'state', DB::raw('count(*) as n')]) as $row
        ) {
            $lanes[$row->lane][$row->state] = (int) $row->n;
            $lanes[$row->lane]['all'] += (int) $row->n;
        }
        $waiting = array_sum(array_column($lanes, 'waiting'));

        return [
            'run' => $run,
            'lanes' => $lanes,
            'all' => array_sum(array_column($lanes, 'all')),
            'done' => array_sum(array_column($lanes, 'done')),
            'failed' => array_sum(array_column($lanes, 'failed')),
            'waiting' => $waiting,
            'isOver' => $waiting === 0,
            'asked' => array_sum(array_column($lanes, 'asked')),
            'troubles' => $this->troubles($run),
            'seconds' => (int) abs(($run->ended_at ?? now())->diffInSeconds($run->created_at)),
            'sections' => $this->sections($run),
        ];
    }

    /**
     * What did not go, folded where a destination said the same of many.
     *
     * @return list<RunTrouble>
     */
    private function troubles(Run $run): array
    {
        return array_values(
            DB::table('run_steps')
                ->join('sections', 'sections.id', '=', 'section_id')
                ->where('run_id', $run->id)
                ->whereNotNull('words')
                ->where('state', '!=', 'done')
                ->groupBy('lane', 'state', 'verb', 'words')
                ->orderByRaw('count(*) desc, min(run_steps.id)')
                ->limit(100)
                ->get([
                    'lane',
                    'state',
                    'verb',
                    'words',
                    DB::raw('count(*) as n'),
                    DB::raw('count(distinct section_id) as sections'),
                    DB::raw('min(label) as label'),
                    DB::raw('max(tries) as tries'),
                    DB::raw('(array_agg(sections.sourced_id order by run_steps.id))[1] as sourced_id'),
                    DB::raw('(array_agg(sections.title order by run_steps.id))[1] as title'),
                    DB::raw('(array_agg(sections.year order by run_steps.id))[1] as year'),
                ])
                ->map(
                    fn (stdClass $t): RunTrouble => new RunTrouble(
                        $t->lane,
                        $t->state,
                        $t->verb,
                        $t->words,
                        (int) $t->n,
                        (int) $t->sections,
                        $t->label,
                        (int) $t->tries,
                        $t->sourced_id,
                        ($t->year === '' ? '' : "Y$t->year ").$t->title,
                    ),
                )
                ->all(),
        );
    }

    /** @return Collection<int, Run> */
    public function recent(Person $for): Collection
    {
        return Run::query()
            ->with('starter')
            ->withCount([
                'steps',
                'steps as failed_count' => fn ($q) => $q->where('state', 'failed'),
                'steps as waiting_count' => fn ($q) => $q->where('state', 'waiting'),
            ])
            ->when(! $for->isCoordinator(), fn ($q) => $q->where('started_by', $for->id))
            ->latest()
            ->limit(50)
            ->get()
            ->toBase();
    }

    /** @return Collection<int, stdClass> what a run did with each section */
    private function sections(Run $run): Collection
    {
        return DB::table('run_steps')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('run_id', $run->id)
            ->groupBy('sections.id')
            ->orderByRaw(
                "count(*) filter (where state = 'failed') desc, count(*) filter (where state = 'waiting') desc, ".
                    "nullif(regexp_replace(year, '[^0-9]', '', 'g'), '')::int, title",
            )
            ->get([
                'sections.sourced_id',
                'title',
                'year',
                DB::raw('count(*) as all'),
                DB::raw("count(*) filter (where state = 'done') as done"),
                DB::raw("count(*) filter (where state = 'failed') as failed"),
                DB::raw("count(*) filter (where state = 'asked') as asked"),
            ]);
    }
}
