<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Nomada\App\Models\Timetable\SolverRun;
use Nomada\App\Models\Timetable\SolverState;

/** Stops a run of the solver; what it has found stays. */
final class StopSolver
{
    public function __invoke(SolverRun $run): void
    {
        SolverRun::query()
            ->whereKey($run->id)
            ->whereIn('state', [SolverState::Waiting, SolverState::Running])
            ->update(['state' => SolverState::Stopped, 'ended_at' => now()]);
    }
}
