<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

/**
 * A time of the week at which a teacher would rather not teach, or does not, where the coordinator has made it a rule.
 */
final readonly class TeacherWish
{
    /**
     * @param  int  $weekday  1 (Monday) to 7
     * @param  int  $from  minutes from midnight on the school's clock, as $to
     */
    public function __construct(
        public int $person,
        public int $weekday,
        public int $from,
        public int $to,
        public bool $isRule = false,
    ) {
    }
}
