<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

/** What the solver found. */
final readonly class Answer
{
    /**
     * @param  array<int, Candidate>  $moves  where series move to, by id
     * @param  int  $bound  fewer moves cannot clear as many clashes
     * @param  bool  $isProved  whether no arrangement has fewer clashes, or as few with fewer moves
     * @param  array<string, array{int, int, int}>  $left  the clashes that are left, as {@see Arrangement::clashes()}
     *   tells them
     */
    public function __construct(
        public array $moves,
        public Score $before,
        public Score $after,
        public int $bound,
        public bool $isProved,
        public array $left,
        public float $seconds,
    ) {
    }
}
