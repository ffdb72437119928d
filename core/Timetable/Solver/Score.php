<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

/**
 * What an arrangement of a timetable costs. Compared field by field in this order: a lower field is never bought with a
 * higher one.
 */
final readonly class Score
{
    public const MUST = 0;

    public const MOVED = 1;

    public const STUDENTS = 2;

    public const LOST = 3;

    public const HOURS = 4;

    public const ADVICE = 5;

    public const DAYS = 6;

    public const MINUTES = 7;

    /** The score of what costs nothing. */
    public const NONE = [0, 0, 0, 0, 0, 0, 0, 0];

    /**
     * @param  int  $must  clashes that must be fixed: pairs of series by kind, and series at a teacher's busy time
     * @param  int  $moved  series that move
     * @param  int  $students  students in two places, summed over pairs of sessions
     * @param  int  $lost  sessions that fall on closed days, more than before
     * @param  int  $hours  students outside the hours of their own clock, summed over sessions
     * @param  int  $advice  sessions without a pause before or after, outside the opening hours, or on one day with
     *   another of the same section
     * @param  int  $days  by which sessions of a week move; $minutes: by which starts do
     */
    public function __construct(
        public int $must = 0,
        public int $moved = 0,
        public int $students = 0,
        public int $lost = 0,
        public int $hours = 0,
        public int $advice = 0,
        public int $days = 0,
        public int $minutes = 0,
    ) {
    }

    /** @param  list<int>  $values  in the order of the fields */
    public static function of(array $values): self
    {
        return new self(...$values);
    }

    /** @return list<int> to compare by */
    public function values(): array
    {
        return array_values(get_object_vars($this));
    }

    /**
     * @param  list<int>  $score
     * @return list<int> with so much more advice
     */
    public static function advised(array $score, int $advice): array
    {
        return $advice === 0 ? $score : self::sum($score, [0, 0, 0, 0, 0, $advice, 0, 0]);
    }

    /**
     * @param  list<int>  $a
     * @param  list<int>  $b
     * @return list<int>
     */
    public static function sum(array $a, array $b, int $times = 1): array
    {
        // Written out, since it is what the search does most.
        return [
            $a[0] + $times * $b[0],
            $a[1] + $times * $b[1],
            $a[2] + $times * $b[2],
            $a[3] + $times * $b[3],
            $a[4] + $times * $b[4],
            $a[5] + $times * $b[5],
            $a[6] + $times * $b[6],
            $a[7] + $times * $b[7],
        ];
    }
}
