<?php

declare(strict_types=1);

namespace Nomada\App\Models\Timetable;

/** How far a run of the solver is. */
enum SolverState: string
{
    case Waiting = 'waiting';
    case Running = 'running';
    case Done = 'done';
    case Stopped = 'stopped';
    case Failed = 'failed';
    case Taken = 'taken';

    public function isOver(): bool
    {
        return $this !== self::Waiting && $this !== self::Running;
    }
}
