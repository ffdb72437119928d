<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Timetable\SolverRun;
use Nomada\App\Models\Timetable\SolverState;
use Nomada\App\Queries\SolverProblems;
use Nomada\Core\Timetable\Solver\Answers;

/**
 * Answers one question to the solver. Answers are kept as they are found, so that stopping leaves the best so far; a
 * worker that dies leaves a job that begins again.
 */
final class SolveTimetable implements ShouldQueue
{
    use Queueable;

    /** Seconds between two looks at whether somebody has stopped it. */
    private const LOOK = 0.5;

    public int $tries = 3;

    public int $timeout = 300;

    public function __construct(public readonly int $run)
    {
    }

    public function handle(SolverProblems $problems): void
    {
        $run = SolverRun::query()
            ->with(['term.school', 'term.closures'])
            ->find($this->run);
        if ($run === null || $run->state->isOver()) {
            return;
        }
        $run->update(['state' => SolverState::Running]);
        $asked = $run->asked();
        $looked = microtime(true);
        $begun = $looked;
        $goesOn = function () use ($run, $begun, &$looked): bool {
            if (microtime(true) - $looked < self::LOOK) {
                return true;
            }
            $looked = microtime(true);

            return $this->goesOn($run->id, $looked - $begun);
        };
        $answers = new Answers(
            $problems->of($run->term, $asked),
            fn (): float => microtime(true),
            $asked->seconds,
            $asked->seed,
            $goesOn,
        );
        $run->keep(
            $answers->all(function (array $solutions) use ($run): void {
                $run->keep($solutions);
                $run->save();
            }),
        );
        $run->seconds = microtime(true) - $begun;
        $run->save();
        SolverRun::query()
            ->whereKey($run->id)
            ->where('state', SolverState::Running)
            ->update(['state' => SolverState::Done, 'ended_at' => now()]);
    }

    /** Notes how long it has looked; false where somebody has stopped it. */
    private function goesOn(int $run, float $seconds): bool
    {
        return DB::table('solver_runs')
            ->where('id', $run)
            ->where('state', SolverState::Running)
            ->update(['seconds' => $seconds]) > 0;
    }

    public function failed(): void
    {
        SolverRun::query()
            ->whereKey($this->run)
            ->whereIn('state', [SolverState::Waiting, SolverState::Running])
            ->update(['state' => SolverState::Failed, 'ended_at' => now()]);
    }
}
