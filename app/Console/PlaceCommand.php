<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Nomada\Core\Timetable\Solver\Question;

final class PlaceCommand extends SolverCommand
{
    protected const CALLED = 'nomada:place {--may-move : move others, too}';

    protected $description = 'Find a time for the series that have none yet';

    protected function kind(): string
    {
        return Question::PLACE;
    }

    protected function mayMove(): bool
    {
        return (bool) $this->option('may-move');
    }
}
