<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Closure;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Models\Publishing\Run;
use Nomada\App\Models\Publishing\RunStep;
use Nomada\App\Models\Publishing\StepState;
use Nomada\App\Models\Term\Person;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\Verb;

/**
 * Begins a run: its steps and the jobs that carry them out are written in one transaction, so that a run is whole or is
 * not. A lane is one destination of one section; lanes go on side by side, the steps of a lane one after another.
 */
final readonly class StartRun
{
    public function __construct(private Clock $clock, private TellChanges $told)
    {
    }

    /**
     * Publishes what differs for sections, and tells of what changed.
     *
     * @param  list<int>  $sections
     * @param  bool  $queue  false where the caller carries the run out itself
     * @param  list<Place>|null  $places  only at these; null for all
     */
    public function publish(array $sections, ?Person $by, bool $queue = true, ?array $places = null): Begun
    {
        return DB::transaction(function () use ($sections, $by, $queue, $places): Begun {
            $isTold = $places === null || in_array(Place::ClassStream, $places, true);
            $letters = $isTold ? ($this->told)($sections) : 0;
            $run = $this->begin(
                'publish',
                $this->steps(fn (Builder $q): Builder => $q->whereIntegerInRaw('section_id', $sections), $places),
                $by,
                $queue,
            );

            return new Begun($run, $letters);
        });
    }

    /**
     * Publishes certain placements.
     *
     * @param  list<int>  $placements  ids
     */
    public function these(array $placements, ?Person $by, bool $queue = true): ?Run
    {
        return $this->begin(
            'publish',
            $this->steps(fn (Builder $q): Builder => $q->whereIntegerInRaw('id', $placements), null),
            $by,
            $queue,
        );
    }

    /**
     * A run that begins later, with what differs then.
     *
     * @param  list<int>  $sections
     * @param  list<Place>|null  $places
     * @param  int  $at  UTC seconds, on the school's clock
     *
     * @throws Fault where that has passed
     */
    public function later(array $sections, ?array $places, int $at, Person $by): Run
    {
        if ($at <= $this->clock->seconds()) {
            throw new Fault('publishing.later.past', 'at');
        }

        return Run::query()->create([
            'kind' => 'publish',
            'started_by' => $by->id,
            'app_time' => Carbon::createFromTimestamp($this->clock->seconds()),
            'due_at' => Carbon::createFromTimestamp($at),
            'scope' => [
                'sections' => $sections,
                'places' => array_column($places ?? Place::cases(), 'value'),
            ],
        ]);
    }

    /** Begins the runs whose time has come. Returns how many. */
    public function due(): int
    {
        $due = Run::query()
            ->whereNotNull('scope')
            ->whereNull('halted_at')
            ->where('due_at', '<=', Carbon::createFromTimestamp($this->clock->seconds()))
            ->pluck('id');
        foreach ($due as $id) {
            DB::transaction(function () use ($id): void {
                $run = Run::query()->whereKey($id)->whereNotNull('scope')->lock('for update skip locked')->first();
                if ($run === null || $run->scope === null) {
                    return;
                }
                $scope = $run->scope;
                if (in_array(Place::ClassStream->value, $scope['places'], true)) {
                    ($this->told)($scope['sections']);
                }
                $steps = $this->steps(
                    fn (Builder $q): Builder => $q->whereIntegerInRaw('section_id', $scope['sections']),
                    array_map(Place::from(...), $scope['places']),
                );
                $run->update(['scope' => null]);
                $this->fill($run, $steps, true);
                RunLaneJob::endIfDone($run->id);
            });
        }

        return count($due);
    }

    /** Nothing more of a run is done until somebody takes it up; what is at work at this moment ends first. */
    public function halt(Run $run, Person $by): void
    {
        $run->newQuery()
            ->whereKey($run->id)
            ->whereNull('ended_at')
            ->whereNull('halted_at')
            ->update(['halted_at' => now(), 'halted_by' => $by->id]);
    }

    /** Goes on with a run that was stopped by hand. */
    public function goOn(Run $run): void
    {
        DB::transaction(function () use ($run): void {
            $run->newQuery()
                ->whereKey($run->id)
                ->whereNotNull('halted_at')
                ->update(['halted_at' => null, 'halted_by' => null]);
            $this->queueLanes($run);
        });
    }

    /**
     * What differs, as steps.
     *
     * @param  Closure(Builder): Builder  $which
     * @param  list<Place>|null  $places
     * @return list<array{section_id: int, lane: string, key: string, label: string, verb: string}>
     */
    private function steps(Closure $which, ?array $places): array
    {
        return array_values(
            $which(DB::table('published_items'))
                ->when($places !== null, fn ($q) => $q->whereIn('place', $places ?? []))
                ->whereRaw(Placement::DIFFERS)
                ->orderBy('id')
                ->get(['section_id', 'place', 'key', 'label', 'desired_hash', 'published_hash'])
                ->map(
                    fn (object $p): array => [
                        'section_id' => (int) $p->section_id,
                        'lane' => $p->place,
                        'key' => $p->key,
                        'label' => $p->label,
                        'verb' => (Verb::between($p->desired_hash, $p->published_hash) ?? Verb::Leave)->value,
                    ],
                )
                ->all(),
        );
    }

    /**
     * Makes join links for every series of sections that has none, and a room for those that have lost it. Null where
     * all have both.
     *
     * @param  list<int>  $sections
     * @param  list<int>|null  $only  of these series only
     */
    public function links(array $sections, ?Person $by, bool $queue = true, ?array $only = null): ?Run
    {
        $steps = DB::table('series')
            ->whereIn('id', DB::table('series_sections')->whereIn('section_id', $sections)->select('series_id'))
            ->when($only !== null, fn ($q) => $q->whereIn('id', $only ?? []))
            ->whereNotExists(
                fn ($q) => $q
                    ->from('join_links')
                    ->whereColumn('series_id', 'series.id')
                    ->where('kind', 'series')
                    ->whereNull('retired_at')
                    // Its room may have gone with another conference service.
                    ->where('room', '!=', ''),
            )
            ->orderBy('id')
            ->get(['id', 'section_id', 'title'])
            ->map(
                fn (object $s): array => [
                    'section_id' => $s->section_id,
                    'lane' => 'link',
                    'key' => (string) $s->id,
                    'label' => $s->title,
                    'verb' => 'add',
                ],
            )
            ->all();

        return $this->begin('links', array_values($steps), $by, $queue);
    }

    /** Tries the failed steps of a run again, from the beginning of their pauses. Returns how many. */
    public function again(Run $run): int
    {
        return DB::transaction(function () use ($run): int {
            $n = $run
                ->steps()
                ->where('state', StepState::Failed)
                ->update(['state' => StepState::Waiting, 'tries' => 0, 'due_at' => null, 'words' => null]);
            if ($n > 0) {
                $run->update(['ended_at' => null, 'halted_at' => null]);
                $this->queueLanes($run);
            }

            return $n;
        });
    }

    /**
     * Queues the lanes of runs that have waiting steps but have not moved for a while: after a job was lost with its
     * process.
     */
    public function takeUp(int $idleSeconds): int
    {
        $n = 0;
        $idle = now()->subSeconds($idleSeconds);
        $left = Run::query()->whereNull('ended_at')->whereNull('halted_at')->whereNull('scope');
        foreach ($left->where('updated_at', '<', $idle)->get() as $run) {
            $n += $this->queueLanes($run);
            $run->touch();
            RunLaneJob::endIfDone($run->id);
        }

        return $n;
    }

    /** @return int how many */
    private function queueLanes(Run $run): int
    {
        $lanes = $run
            ->steps()
            ->where('state', StepState::Waiting)
            ->reorder()
            ->distinct()
            ->get(['section_id', 'lane']);
        $jobs = RunLaneJob::all($run->id, $lanes->map(fn (RunStep $s): array => [(int) $s->section_id, $s->lane]));
        array_map(dispatch(...), $jobs);

        return count($jobs);
    }

    /** @param  list<array{section_id: int, lane: string, key: string, label: string, verb: string}>  $steps */
    private function begin(string $kind, array $steps, ?Person $by, bool $queue): ?Run
    {
        if ($steps === []) {
            return null;
        }

        return DB::transaction(function () use ($kind, $steps, $by, $queue): Run {
            $run = Run::query()->create([
                'kind' => $kind,
                'started_by' => $by?->id,
                'app_time' => Carbon::createFromTimestamp($this->clock->seconds()),
            ]);
            $this->fill($run, $steps, $queue);

            return $run;
        });
    }

    /** @param  list<array{section_id: int, lane: string, key: string, label: string, verb: string}>  $steps */
    private function fill(Run $run, array $steps, bool $queue): void
    {
        $lanes = [];
        foreach (array_chunk($steps, 1000) as $chunk) {
            DB::table('run_steps')->insert(array_map(fn (array $s): array => [...$s, 'run_id' => $run->id], $chunk));
        }
        foreach ($steps as $step) {
            $lanes["{$step['section_id']} {$step['lane']}"] = [$step['section_id'], $step['lane']];
        }
        foreach (RunLaneJob::all($run->id, $queue ? $lanes : []) as $job) {
            dispatch($job);
        }
    }
}
