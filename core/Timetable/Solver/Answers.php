<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

use Closure;

/**
 * The best answer, and up to two others that differ from it and leave as few clashes: with other series, with the same
 * or with other days, or with nobody more outside the hours of their own clock.
 */
final readonly class Answers
{
    private const MOST = 3;

    /** The share of the time that the best answer may take. */
    private const FOR_BEST = 0.6;

    /**
     * @param  Closure(): float  $clock  seconds, with fractions
     * @param  Closure(float): bool|null  $goesOn  see {@see Deadline}
     */
    public function __construct(
        private Problem $problem,
        private Closure $clock,
        private float $seconds,
        private int $seed,
        private ?Closure $goesOn = null,
    ) {
    }

    /**
     * @param  Closure(list<Solution>): void|null  $found  told of each as soon as it is there
     * @param  int  $most  answers
     * @return non-empty-list<Solution> the best first
     */
    public function all(?Closure $found = null, int $most = self::MOST): array
    {
        $begun = ($this->clock)();
        $best = $this->solve(Solution::BEST, $this->problem, ($most === 1 ? 1 : self::FOR_BEST) * $this->seconds);
        $out = [$best->key() => $best];
        foreach ($best->moves === [] ? [] : $this->others($best) as $kind => $problem) {
            if ($found !== null) {
                $found(array_values($out));
            }
            $left = $this->seconds - (($this->clock)() - $begun);
            if ($left <= 0 || count($out) >= $most) {
                break;
            }
            $other = $this->solve($kind, $problem, $left / 2);
            if ($other->after->must <= $best->after->must && $other->moves !== []) {
                $out[$other->key()] ??= $other;
            }
        }

        return array_values($out);
    }

    private function solve(string $kind, Problem $problem, float $seconds): Solution
    {
        $deadline = new Deadline($this->clock, $seconds, $this->goesOn);

        return Solution::of($kind, $this->problem, (new FixClashes($problem, $deadline, $this->seed))->answer());
    }

    /** @return array<string, Problem> */
    private function others(Solution $best): array
    {
        $now = fn (int $id): Candidate => $this->problem->series[$id]->now;
        $keepsDays = fn (int $id, Candidate $c): bool => $c->weekdays === $now($id)->weekdays;
        $hasSameDays = true;
        foreach ($best->moves as $move) {
            $hasSameDays = $hasSameDays && $move->was['days'] === $move->becomes['days'];
        }
        $out = [];
        if ($best->after->hours > $best->before->hours) {
            $out[Solution::OWN_HOURS] = $this->problem->limited(
                fn (int $id, Candidate $c): bool => $c->cost[Score::HOURS] <= $now($id)->cost[Score::HOURS],
            );
        }
        $out[$hasSameDays ? Solution::OTHER_DAYS : Solution::SAME_DAYS] = $this->problem->limited(
            fn (int $id, Candidate $c): bool => $keepsDays($id, $c) !== $hasSameDays,
        );

        return $out + [
            Solution::OTHER_SERIES => $this->problem->limited(fn (): bool => true, $best->series()),
        ];
    }
}
