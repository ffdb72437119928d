<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

/**
 * An answer in the words of the timetable: the moves with their reasons, and the clashes that are left.
 *
 * @phpstan-type Left array{kind: string, series: list<int>, students: int}
 */
final readonly class Solution
{
    /** How it was asked for. */
    public const BEST = 'best';

    public const OTHER_SERIES = 'other_series';

    public const SAME_DAYS = 'same_days';

    public const OTHER_DAYS = 'other_days';

    public const OWN_HOURS = 'own_hours';

    /**
     * @param  list<SolverMove>  $moves
     * @param  list<Left>  $left
     */
    public function __construct(
        public string $kind,
        public array $moves,
        public Score $before,
        public Score $after,
        public int $bound,
        public bool $isProved,
        public array $left,
        public float $seconds,
    ) {
    }

    public static function of(string $kind, Problem $problem, Answer $answer): self
    {
        $then = fn (int $id): Candidate => $answer->moves[$id] ?? $problem->series[$id]->now;
        $moves = $left = [];
        foreach ($answer->moves as $id => $to) {
            $moves[] = self::move($problem, $id, $to, $then);
        }
        foreach ($answer->left as [$a, $b]) {
            $kinds =
                $a === $b ? array_fill_keys($then($a)->troubles, 0) : $problem->kinds($a, $then($a), $b, $then($b));
            foreach ($kinds as $what => $students) {
                $series = array_values(
                    array_unique([$problem->series[$a]->series(), $problem->series[$b]->series()]),
                );
                $left[] = ['kind' => $what, 'series' => $series, 'students' => $students];
            }
        }

        return new self(
            $kind,
            $moves,
            $answer->before,
            $answer->after,
            $answer->bound,
            $answer->isProved,
            $left,
            $answer->seconds,
        );
    }

    /** @param  callable(int): Candidate  $then */
    private static function move(Problem $problem, int $id, Candidate $to, callable $then): SolverMove
    {
        $now = $problem->series[$id]->now;
        $because = array_map(
            fn (string $kind): array => ['kind' => $kind, 'series' => $id, 'students' => 0],
            array_values(array_diff($now->troubles, ['no_time'])),
        );
        $room = [];
        foreach ($problem->shared[$id] ?? [] as $other => $_) {
            $with = $problem->series[$other]->series();
            $had = $problem->kinds($id, $now, $other, $problem->series[$other]->now);
            foreach ($had as $kind => $students) {
                $because[] = ['kind' => $kind, 'series' => $with, 'students' => $students];
            }
            foreach (
                array_diff_key($problem->kinds($id, $now, $other, $then($other)), $had) as $kind => $students
            ) {
                $room[] = ['kind' => $kind, 'series' => $with, 'students' => $students];
            }
        }
        assert($to->plan !== null);

        return new SolverMove(
            $id,
            $to->plan,
            ['days' => $now->days(), 'start' => $now->at()],
            ['days' => $to->days(), 'start' => $to->at()],
            $because,
            $room,
            array_sum(array_map(fn (Block $b): int => DaySet::count($b->days), $to->blocks)),
            Score::of(Score::sum($to->cost, $now->cost, -1)),
        );
    }

    /**
     * The same with some moves left out; what it comes to then is not worked out again.
     *
     * @param  list<int>  $series
     */
    public function without(array $series): self
    {
        $moves = array_filter($this->moves, fn (SolverMove $m): bool => ! in_array($m->series, $series, true));

        return new self(...['moves' => array_values($moves)] + get_object_vars($this));
    }

    /**
     * What is left of what was asked: to place series says nothing of clashes between those that stay.
     *
     * @return list<Left>
     */
    public function leftOf(Question $asked): array
    {
        if ($asked->kind !== Question::PLACE) {
            return $this->left;
        }
        $moved = $this->series();

        return array_values(
            array_filter(
                $this->left,
                fn (array $l): bool => array_filter(
                    $l['series'],
                    fn (int $id): bool => in_array($id, $moved, true) || TimetabledSeries::withoutTime($id) !== null,
                ) !== [],
            ),
        );
    }

    /** @return list<int> ids of the series that move */
    public function series(): array
    {
        return array_map(fn (SolverMove $m): int => $m->series, $this->moves);
    }

    /** Equal for answers that move the same series to the same times. */
    public function key(): string
    {
        $keys = array_map(
            fn (SolverMove $m): string => "$m->series ".
                implode(',', $m->becomes['days']).
                ' '.
                $m->becomes['start'],
            $this->moves,
        );
        sort($keys);

        return implode('; ', $keys);
    }

    /** @return array<string, mixed> what {@see from()} reads back */
    public function toArray(): array
    {
        return [
            'moves' => array_map(fn (SolverMove $m): array => $m->toArray(), $this->moves),
            'before' => $this->before->values(),
            'after' => $this->after->values(),
        ] + get_object_vars($this);
    }

    /** @param  array<string, mixed>  $plain */
    public static function from(array $plain): self
    {
        return new self(
            (string) $plain['kind'],
            array_values(array_map(SolverMove::from(...), $plain['moves'])),
            Score::of($plain['before']),
            Score::of($plain['after']),
            (int) $plain['bound'],
            (bool) $plain['isProved'],
            $plain['left'],
            (float) $plain['seconds'],
        );
    }
}
