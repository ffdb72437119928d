<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

use Nomada\Core\Fault;
use Nomada\Core\Timetable\Clashes;

/** What the coordinator asks of an answer. Times are minutes from midnight. */
final readonly class SolverRules
{
    public const GRIDS = [5, 10, 15, 20, 30, 60];

    /** Minutes. */
    public const LONGEST_PAUSE = 60;

    public const MOST_DAILY = 20;

    /**
     * @param  array{int, int}  $hours  within which sessions may be, on the school's clock
     * @param  bool  $studentsMust  whether students in two places must be fixed
     * @param  int  $grid  minutes between the starts that are tried
     * @param  array{int, int}  $ownHours  on a student's own clock; sessions outside them count
     * @param  bool  $ownHoursMust  whether they must be fixed
     * @param  int  $pause  minutes between two sessions of one teacher
     * @param  int|null  $studentsDaily  series a day of a student at most; null for no limit
     * @param  int|null  $teachersDaily  the same of a teacher
     *
     * @throws Fault
     */
    public function __construct(
        public array $hours,
        public bool $studentsMust = true,
        public int $grid = 15,
        public array $ownHours = [8 * 60, 20 * 60],
        public bool $ownHoursMust = false,
        public int $pause = Clashes::TURNAROUND / 60,
        public ?int $studentsDaily = null,
        public ?int $teachersDaily = null,
    ) {
        if (! in_array($grid, self::GRIDS, true)) {
            throw new Fault('solver.grid', 'grid', ['grids' => implode(', ', self::GRIDS)]);
        }
        foreach (['hours' => $hours, 'own_hours' => $ownHours] as $field => $of) {
            if ($of[0] < 0 || $of[1] > 1440 || $of[0] >= $of[1]) {
                throw new Fault('solver.hours', $field);
            }
        }
        if ($pause < 0 || $pause > self::LONGEST_PAUSE) {
            throw new Fault('solver.pause', 'pause', ['n' => self::LONGEST_PAUSE]);
        }
        foreach (['students_daily' => $studentsDaily, 'teachers_daily' => $teachersDaily] as $field => $most) {
            if ($most !== null && ($most < 1 || $most > self::MOST_DAILY)) {
                throw new Fault('solver.daily', $field, ['n' => self::MOST_DAILY]);
            }
        }
    }

    /** @return array<string, mixed> what {@see from()} reads back */
    public function toArray(): array
    {
        return get_object_vars($this);
    }

    /** @param  array<string, mixed>  $plain */
    public static function from(array $plain): self
    {
        $pair = fn (mixed $of): array => [(int) ((array) $of)[0], (int) ((array) $of)[1]];

        return new self(...['hours' => $pair($plain['hours']), 'ownHours' => $pair($plain['ownHours'])] + $plain);
    }
}
