<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/** Which series runs on which host account. */
final readonly class Assignment
{
    /**
     * @param  array<int, int>  $accounts  by series, of those that stay on one account for the whole term
     * @param  array<int, array<int, int>>  $split  by series, then by the session's start: those that need more than
     *   one account
     * @param  array<int, list<int>>  $left  by series: the starts of sessions for which no account is free
     * @param  int  $changed  how many standing assignments had to change
     */
    public function __construct(
        public array $accounts,
        public array $split,
        public array $left,
        public int $changed,
    ) {
    }

    public function leftOver(): int
    {
        return array_sum(array_map(count(...), $this->left));
    }
}
