<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Nomada\App\Jobs\CarryOut;
use Nomada\App\Models\Publishing\Run;
use Nomada\App\Models\Term\Person;
use Nomada\App\Support\Clock;

/**
 * Begins a run: its steps and the jobs that carry them out are written in one transaction, so that a run is whole or is
 * not. A lane is one destination of one section; lanes go on side by side, the steps of a lane one after another.
 */
final readonly class StartRun
{
    public function __construct(private Clock $clock)
    {
    }

    /**
     * Publishes what differs for sections. Null where nothing does.
     *
     * @param  list<int>  $sections
     * @param  bool  $queue  false where the caller carries the run out itself
     */
    public function publish(array $sections, ?Person $by, bool $queue = true): ?Run
    {
        $steps = DB::table('placements')
            ->whereIn('section_id', $sections)
            ->whereRaw('wanted_print is distinct from standing_print')
            ->orderBy('id')
            ->get(['section_id', 'place', 'key', 'label', 'wanted_print', 'standing_print'])
            ->map(
                fn (object $p): array => [
                    'section_id' => $p->section_id,
                    'lane' => $p->place,
                    'key' => $p->key,
                    'label' => $p->label,
                    'verb' => $p->wanted_print === null ? 'remove' : ($p->standing_print === null ? 'add' : 'change'),
                ],
            )
            ->all();

        return $this->begin('publish', array_values($steps), $by, $queue);
    }

    /**
     * Makes join links for every series of sections that has none. Null where all have one.
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
                    ->whereNull('retired_at'),
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
            $lanes = $run
                ->steps()
                ->where('state', 'failed')
                ->reorder()
                ->distinct()
                ->get(['section_id', 'lane']);
            $n = $run
                ->steps()
                ->where('state', 'failed')
                ->update(['state' => 'waiting', 'tries' => 0, 'due_at' => null, 'words' => null]);
            if ($n > 0) {
                $run->update(['ended_at' => null]);
            }
            foreach ($lanes as $lane) {
                CarryOut::dispatch($run->id, $lane->section_id, $lane->lane);
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
        foreach (Run::query()->whereNull('ended_at')->where('updated_at', '<', $idle)->get() as $run) {
            foreach (
                $run
                    ->steps()
                    ->where('state', 'waiting')
                    ->reorder()
                    ->distinct()
                    ->get(['section_id', 'lane']) as $lane
            ) {
                CarryOut::dispatch($run->id, $lane->section_id, $lane->lane);
                $n++;
            }
            $run->touch();
            CarryOut::endIfDone($run->id);
        }

        return $n;
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
            $lanes = [];
            foreach (array_chunk($steps, 1000) as $chunk) {
                DB::table('run_steps')->insert(
                    array_map(fn (array $s): array => [...$s, 'run_id' => $run->id], $chunk),
                );
            }
            foreach ($steps as $step) {
                $lanes["{$step['section_id']} {$step['lane']}"] = [$step['section_id'], $step['lane']];
            }
            foreach ($queue ? $lanes : [] as [$section, $lane]) {
                CarryOut::dispatch($run->id, $section, $lane);
            }

            return $run;
        });
    }
}
