<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/**
 * Two series (or one, where it is about the series itself) that get in each other's way, folded over all the days on
 * which they do.
 *
 * Kinds: `teacher` (hard: nobody is in two places), `account` (hard: more on one host account than its plan allows at
 * one time), `room` (hard: two in one room), `students` (soft: how many), `long` and `full` (soft: longer, or larger,
 * than the hosting plan), `turnaround` (advice: less than the pause between two sessions of one teacher), `hours`
 * (advice: before 07:00 or after 20:30 on a student's own clock), `outside` (advice: outside the day's open hours).
 */
final readonly class Clash
{
    /** Every kind, the gravest first: all lists of kinds follow from this one. */
    public const GRAVITY = [
        'teacher' => 'hard',
        'account' => 'hard',
        'room' => 'hard',
        'students' => 'soft',
        'long' => 'soft',
        'full' => 'soft',
        'turnaround' => 'advice',
        'hours' => 'advice',
        'outside' => 'advice',
    ];

    /** Kinds that another host account, or another plan of it, is a way out of. */
    public const OF_ACCOUNTS = ['account', 'long', 'full'];

    /** Kinds that each session of a series has alike: moving one of them alone is no way out. */
    public const OF_ALL_SESSIONS = ['long', 'full'];

    /**
     * @param  list<int>  $series  one or two, the smaller first
     * @param  list<int>  $sections  theirs, in the same order
     * @param  list<int>  $people  everybody concerned on any of the days, ascending
     * @param  list<int>  $days  day numbers, ascending
     */
    public function __construct(
        public string $kind,
        public array $series,
        public array $sections,
        public array $people,
        public array $days,
    ) {
    }

    /** @return list<string> the kinds that count as clashes; the others are advice */
    public static function grave(): array
    {
        return array_keys(array_filter(self::GRAVITY, fn (string $gravity): bool => $gravity !== 'advice'));
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
