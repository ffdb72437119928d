<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

use Nomada\Core\Fault;

/** What the coordinator asks of an answer. Times are minutes from midnight. */
final readonly class SolverRules
{
    public const GRIDS = [5, 10, 15, 20, 30, 60];

    /**
     * @param  bool  $studentsMust  whether students in two places must be fixed
     * @param  array{int, int}  $hours  within which sessions may be, on the school's clock
     * @param  int  $grid  minutes between the starts that are tried
     * @param  array{int, int}  $ownHours  on a student's own clock; sessions outside them count
     *
     * @throws Fault
     */
    public function __construct(
        public array $hours,
        public bool $studentsMust = true,
        public int $grid = 15,
        public array $ownHours = [8 * 60, 20 * 60],
    ) {
        if (! in_array($grid, self::GRIDS, true)) {
            throw new Fault('solver.grid', 'grid', ['grids' => implode(', ', self::GRIDS)]);
        }
        if ($hours[0] < 0 || $hours[1] > 1440 || $hours[0] >= $hours[1]) {
            throw new Fault('solver.hours', 'hours');
        }
    }
}
