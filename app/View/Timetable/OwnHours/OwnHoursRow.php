<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\OwnHours;

/** A series, and the students of one zone whom it meets outside their hours. */
final readonly class OwnHoursRow
{
    /**
     * @param  string  $code  of the section
     * @param  string  $when  on the school's clock
     * @param  string  $place  where the students live
     * @param  array<string, int>  $times  sessions by the time on their clock
     * @param  list<string>  $students
     */
    public function __construct(
        public string $code,
        public string $name,
        public string $when,
        public string $place,
        public array $times,
        public array $students,
    ) {
    }

    public function sessions(): int
    {
        return array_sum($this->times) * count($this->students);
    }
}
