<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Closure;
use Illuminate\Database\DetectsLostConnections;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Publishing\Run;
use Nomada\App\Models\Publishing\RunStep;
use Nomada\App\Models\Publishing\StepState;
use PDOException;
use Throwable;

/**
 * Carries a run out here and now, waiting through its pauses: for the console, which needs no queue worker to be up.
 */
final class ExecuteRun
{
    use DetectsLostConnections;

    /** Seconds for which a database that is away is waited for. */
    private const PATIENCE = 60.0;

    public function __invoke(Run $run): Run
    {
        while ($this->through(fn (): bool => $this->goesOn($run))) {
            $lanes = $run
                ->steps()
                ->where('state', StepState::Waiting)
                ->reorder()
                ->distinct()
                ->get(['section_id', 'lane']);
            if ($lanes->isEmpty()) {
                break;
            }
            $jobs = RunLaneJob::all($run->id, $lanes->map(fn (RunStep $s): array => [(int) $s->section_id, $s->lane]));
            foreach ($jobs as $job) {
                $this->through(fn (): mixed => app()->call([$job, 'handle']));
            }
            $due = $run->steps()->where('state', StepState::Waiting)->min('due_at');
            if (is_string($due)) {
                usleep((int) max(20_000, min(2_000_000, (strtotime($due) - microtime(true)) * 1_000_000)));
            }
        }
        RunLaneJob::endIfDone($run->id);

        return $run->refresh();
    }

    private function goesOn(Run $run): bool
    {
        return Run::query()->whereKey($run->id)->whereNull('halted_at')->exists();
    }

    /**
     * Does something again while the database is away: what was not written down is still waiting, and doing it again
     * is idempotent at the destinations.
     *
     * @template T
     *
     * @param  Closure(): T  $do
     * @return T
     *
     * @throws QueryException where it stays away
     */
    private function through(Closure $do): mixed
    {
        $until = microtime(true) + self::PATIENCE;
        while (true) {
            try {
                return $do();
            } catch (QueryException|PDOException $e) {
                if (! $this->isLost($e) || microtime(true) > $until) {
                    throw $e;
                }
                DB::purge();
                usleep(500_000);
            }
        }
    }

    private function isLost(Throwable $e): bool
    {
        // 57P01 to 57P03: the server was shut down, or is starting; 08: the connection broke (PostgreSQL, appendix A).
        return $this->causedByLostConnection($e) ||
            preg_match('/SQLSTATE\[(57P0[123]|08)/', $e->getMessage()) === 1;
    }

    /**
     * What came of a run.
     *
     * @return array{run: string|null, done: int, failed: list<array{section: string, lane: string, key: string,
     *   words: string|null}>, asked: int}  asked: where somebody else has put something else, and a person decides
     */
    public static function result(?Run $run): array
    {
        $failed = $run?->steps()->where('state', StepState::Failed)->with('section')->get() ?? collect();

        return [
            'run' => $run?->id,
            'done' => $run?->steps()->where('state', StepState::Done)->count() ?? 0,
            'failed' => array_values(
                $failed
                    ->map(
                        fn ($s): array => [
                            'section' => $s->section->sourced_id,
                            'lane' => $s->lane,
                            'key' => $s->key,
                            'words' => $s->words,
                        ],
                    )
                    ->all(),
            ),
            'asked' => $run?->steps()->where('state', StepState::Asked)->count() ?? 0,
        ];
    }
}
