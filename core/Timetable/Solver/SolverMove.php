<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

use Nomada\Core\Timetable\SeriesPlan;

/**
 * One series that moves, and why.
 *
 * @phpstan-type When array{days: list<string>, start: string}
 * @phpstan-type Reason array{kind: string, series: int, students: int}
 */
final readonly class SolverMove
{
    /**
     * @param  When  $was
     * @param  When  $becomes
     * @param  list<Reason>  $because  the clashes that it had; kind `busy` with the series itself where a teacher is
     *   busy
     * @param  list<Reason>  $room  the clashes that it would have with series that moved, if it stayed
     * @param  int  $sessions  that it has from then on
     * @param  Score  $cost  of the place alone, compared with where it was
     */
    public function __construct(
        public int $series,
        public SeriesPlan $plan,
        public array $was,
        public array $becomes,
        public array $because,
        public array $room,
        public int $sessions,
        public Score $cost,
    ) {
    }

    /** @return array<string, mixed> what {@see from()} reads back */
    public function toArray(): array
    {
        return ['plan' => $this->plan->toArray(), 'cost' => $this->cost->values()] + get_object_vars($this);
    }

    /** @param  array<string, mixed>  $plain */
    public static function from(array $plain): self
    {
        return new self(
            ...['plan' => SeriesPlan::from($plain['plan']), 'cost' => Score::of($plain['cost'])] + $plain,
        );
    }
}
