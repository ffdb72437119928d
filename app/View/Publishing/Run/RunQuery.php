<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Run;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Publishing\Run;
use Nomada\App\Models\Publishing\StepState;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\Say;
use Nomada\Core\Publishing\ItemName;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Term\Zone;
use stdClass;

/** Looks up how far a run has come, and the past ones. */
final class RunQuery
{
    /** How many past runs are listed. */
    public const LISTED = 50;

    public function page(Run $run, Zone $zone): RunPage
    {
        return new RunPage(
            $run,
            self::at($run, $zone),
            Say::place($zone),
            $this->lanes($run),
            $this->troubles($run),
            $this->sections($run),
            (int) abs(($run->ended_at ?? now())->diffInSeconds($run->created_at)),
        );
    }

    private static function at(Run $run, Zone $zone): string
    {
        $at = (int) $run->app_time->timestamp;

        return Say::day($zone->dateAt($at)).' '.$zone->clock($at);
    }

    /** @return array<string, RunLane> */
    private function lanes(Run $run): array
    {
        $titles = ['link' => __('places.services.bridge.name')];
        if ($run->kind !== 'links') {
            $titles = [];
            foreach (Place::cases() as $place) {
                $titles[$place->value] = Say::this($place->said());
            }
        }
        $counts = [];
        $rows = DB::table('run_steps')
            ->where('run_id', $run->id)
            ->groupBy('lane', 'state')
            ->get(['lane', 'state', DB::raw('count(*) as n')]);
        foreach ($rows as $row) {
            $counts[$row->lane][$row->state] = (int) $row->n;
        }
        $lanes = [];
        foreach ($titles as $lane => $title) {
            $n = $counts[$lane] ?? [];
            $lanes[$lane] = new RunLane(
                (string) $title,
                $n[StepState::Done->value] ?? 0,
                $n[StepState::Failed->value] ?? 0,
                $n[StepState::Asked->value] ?? 0,
                $n[StepState::Waiting->value] ?? 0,
            );
        }

        return $lanes;
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
                ->where('state', '!=', StepState::Done)
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
                    DB::raw('(array_agg(key order by label, run_steps.id))[1] as key'),
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
                        self::called($t),
                        (int) $t->tries,
                        $t->sourced_id,
                        Section::called($t->year, $t->title),
                    ),
                )
                ->all(),
        );
    }

    /** What a step is of: something that is at a place, or a series whose link is made. */
    private static function called(stdClass $step): string
    {
        $place = Place::tryFrom($step->lane);

        return $place === null ? $step->label : Say::this(ItemName::of($place, $step->key, $step->label));
    }

    /** @return list<RunRow> newest first */
    public function recent(Person $for, Zone $zone): array
    {
        return array_values(
            Run::query()
                ->with('starter')
                ->withCount([
                    'steps',
                    'steps as failed_count' => fn ($q) => $q->where('state', StepState::Failed),
                    'steps as waiting_count' => fn ($q) => $q->where('state', StepState::Waiting),
                ])
                ->when(! $for->isCoordinator(), fn ($q) => $q->where('started_by', $for->id))
                ->latest()
                ->limit(self::LISTED)
                ->get()
                ->map(
                    fn (Run $r): RunRow => new RunRow(
                        $r->id,
                        self::at($r, $zone),
                        $r->kind === 'links',
                        $r->starter?->name(),
                        (int) $r->getAttribute('steps_count'),
                        (int) $r->getAttribute('failed_count'),
                        (int) $r->getAttribute('waiting_count'),
                    ),
                )
                ->all(),
        );
    }

    /** @return list<RunSection> what failed first, then what waits */
    private function sections(Run $run): array
    {
        return array_values(
            DB::table('run_steps')
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
                ])
                ->map(
                    fn (stdClass $s): RunSection => new RunSection(
                        $s->sourced_id,
                        Section::called($s->year, $s->title),
                        (int) $s->all,
                        (int) $s->done,
                        (int) $s->failed,
                        (int) $s->asked,
                    ),
                )
                ->all(),
        );
    }
}
