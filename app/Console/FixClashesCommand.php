<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Nomada\Core\Timetable\Solver\Question;

final class FixClashesCommand extends SolverCommand
{
    protected const CALLED = 'nomada:fix-clashes';

    protected $description = 'Move as few series as possible so that nobody has to be in two places';

    protected function kind(): string
    {
        return Question::FIX;
    }
}
