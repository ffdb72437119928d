<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/**
 * Two series (or one, where it is about somebody's own clock) that get in each other's way, folded over all the days on which they do.
 *
 * Kinds: `teacher` (hard: nobody is in two places), `students` (soft: how many), `turnaround` (advice: less than the pause between two
 * sessions of one teacher), `hours` (advice: before 07:00 or after 20:30 on a student's own clock).
 */
final readonly class Clash
{
    public const GRAVITY = ['teacher' => 'hard', 'students' => 'soft', 'turnaround' => 'advice', 'hours' => 'advice'];

    /**
     * @param  list<int>  $series  one or two, the smaller first
     * @param  list<int>  $sections  theirs, in the same order
     * @param  list<int>  $people  everybody concerned on any of the days, ascending
     * @param  list<int>  $days  day numbers, ascending
     */
    public function __construct(public string $kind, public array $series, public array $sections, public array $people, public array $days)
    {
    }

    public function gravity(): string
    {
        return self::GRAVITY[$this->kind];
    }

    /** Equal for the same clash found again, whatever days it is folded over. */
    public function key(): string
    {
        return $this->kind.' '.implode(' ', $this->series);
    }
}
