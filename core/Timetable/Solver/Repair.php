<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

/**
 * The fewest moves that clear some clashes, by branch and bound over the clashes (conflict-directed search): of a
 * clash, one of the two series moves, to each place that it may take; or the other does and the first stays; or both
 * stay, where a clash may be left. A series that has moved, or stays, does so to the end. A place at which a series
 * meets others that are undecided means that these move as well (an ejection chain), so it is tried only while the
 * moves left allow that.
 *
 * Nothing is missed: of an arrangement with fewest clashes and then fewest moves, each move is needed by a clash, or it
 * could be taken back.
 */
final class Repair
{
    /** @var array<int, true> series that have moved or stay */
    private array $decided = [];

    /** @var array<int, Candidate> where the moved ones are in the best arrangement found */
    private ?array $best = null;

    /** @var list<int> its score */
    private array $score = [];

    private int $steps = 0;

    private bool $isCut = false;

    /** @var list<int> what the places of all series cost, and those pairs of which both are decided */
    private array $sure = Score::NONE;

    /**
     * @param  int  $allowed  must-fix clashes that may be left
     * @param  int  $most  moves at most; what has moved in the arrangement already is not counted, and stays so
     * @param  int  $mostSteps  places looked up at most
     * @param  list<list<int>>|null  $gains  by how much n moves could lower the cost of places at most,
     *   for each n ({@see gains()}); with it, what cannot beat the best found, moves being equal, is not followed
     * @param  list<int>  $known  the score to beat where there is one
     */
    public function __construct(
        private readonly Arrangement $on,
        private readonly Deadline $deadline,
        private int $allowed,
        private int $most,
        private readonly int $mostSteps,
        private readonly ?array $gains = null,
        array $known = [],
    ) {
        $this->score = $known;
        foreach ($on->problem->series as $id => $series) {
            if ($gains !== null) {
                $this->sure = Score::sum($this->sure, $on->of($id)->cost);
            }
            if ($series->isPinned || $on->of($id) !== $series->now) {
                $this->decide($id);
            }
        }
    }

    /**
     * By how much a number of moves could lower the cost of places, at most.
     *
     * @return list<list<int>> by the number of moves, in the order of {@see Score}
     */
    public static function gains(Problem $problem): array
    {
        $by = [];
        foreach ($problem->series as $id => $series) {
            foreach ($series->candidates() as $candidate) {
                foreach ($candidate->cost as $field => $cost) {
                    $by[$field][$id] = max($by[$field][$id] ?? 0, $series->now->cost[$field] - $cost);
                }
            }
        }
        $out = [Score::NONE];
        array_walk($by, fn (array &$of) => rsort($of));
        for ($n = 0; $n < count($problem->series); $n++) {
            $out[] = Score::sum(
                $out[$n],
                array_map(fn (int $field): int => $by[$field][$n] ?? 0, array_keys(Score::NONE)),
            );
        }

        return $out;
    }

    private function decide(int $id): void
    {
        $this->decided[$id] = true;
        $this->surely($id, 1);
    }

    private function undecide(int $id): void
    {
        $this->surely($id, -1);
        unset($this->decided[$id]);
    }

    /** Counts what a series costs with those that are decided. */
    private function surely(int $id, int $times): void
    {
        foreach ($this->gains === null ? [] : $this->on->problem->shared[$id] ?? [] as $other => $shared) {
            if ($other !== $id && isset($this->decided[$other])) {
                [$must, $students, $advice] = $this->on->problem->pair(
                    $this->on->of($id),
                    $this->on->of($other),
                    $shared,
                );
                $this->sure = Score::sum($this->sure, [$must, 0, $students, 0, 0, $advice, 0, 0], $times);
            }
        }
    }

    /** Whether nothing that follows can be better than the best found, the clashes and the moves being as few. */
    private function isBeaten(int $moves): bool
    {
        if ($this->gains === null || $this->score === []) {
            return false;
        }
        $least = Score::sum($this->sure, $this->gains[max(0, $this->most - $moves)], -1);

        return array_slice($least, Score::STUDENTS) >= array_slice($this->score, Score::STUDENTS);
    }

    /**
     * Looks for it; the arrangement is as before afterwards.
     *
     * @param  array<string, array{int, int, int}>  $clashes  as {@see Arrangement::clashes()} tells them
     * @param  list<int>  $stay  series that do not move
     * @return array<int, Candidate>|null where series move to; null where no way was found
     */
    public function find(array $clashes, array $stay = []): ?array
    {
        foreach ($stay as $id) {
            $this->decide($id);
        }
        $this->branch($clashes, 0);

        return $this->best;
    }

    /** Whether everything was looked at, so that there is nothing better. */
    public function isComplete(): bool
    {
        return ! $this->isCut;
    }

    /** @param  array<string, array{int, int, int}>  $clashes */
    private function branch(array $clashes, int $moves): void
    {
        if ($this->isCut || $this->steps > $this->mostSteps || $this->deadline->isOver()) {
            $this->isCut = true;

            return;
        }
        [$open, $left] = $this->open($clashes);
        if ($left > $this->allowed || $this->isBeaten($moves)) {
            return;
        }
        if ($open === []) {
            $this->keep($moves, $left);

            return;
        }
        if ($moves + $this->needed($open) - ($this->allowed - $left) > $this->most) {
            return;
        }
        [$a, $b] = $this->narrowest($open);
        $stay = [];
        foreach (array_unique([$a, $b]) as $id) {
            if (isset($this->decided[$id])) {
                continue;
            }
            $this->move($id, $clashes, $moves);
            $this->decide($id);
            $stay[] = $id;
        }
        // Both stay, and their clash with them.
        $this->branch($clashes, $moves);
        foreach (array_reverse($stay) as $id) {
            $this->undecide($id);
        }
    }

    /**
     * Tries every place of a series.
     *
     * @param  array<string, array{int, int, int}>  $clashes
     */
    private function move(int $id, array $clashes, int $moves): void
    {
        $was = $this->on->of($id);
        $others = array_filter($clashes, fn (array $c): bool => $c[0] !== $id && $c[1] !== $id);
        $this->decided[$id] = true;
        [$open, $left] = $this->open($others);
        unset($this->decided[$id]);
        $this->steps++;
        $ways = [];
        $places = $this->on->problem->series[$id]->candidates();
        foreach ($this->on->options($id, $places) as $option) {
            $stand = $left + $option->candidate->cost[Score::MUST];
            $chain = [];
            foreach ($option->clashes as $other => $n) {
                if (isset($this->decided[$other])) {
                    $stand += $n;
                } else {
                    $chain["$id-$other"] = [$id, $other, $n];
                }
            }
            if ($stand > $this->allowed) {
                continue;
            }
            $needed = $this->needed([...$open, ...$chain]) - ($this->allowed - $stand);
            if ($moves + 1 + max(0, $needed) <= $this->most) {
                $ways[] = [[count($chain), ...$option->change], $option, $chain];
            }
        }
        usort($ways, fn (array $x, array $y): int => $x[0] <=> $y[0]);
        foreach ($ways as [, $option, $chain]) {
            if ($moves + 1 + max(0, $this->needed([...$open, ...$chain]) - $this->allowed) > $this->most) {
                continue;
            }
            $then = $others + $chain;
            foreach ($option->clashes as $other => $n) {
                $then["$id-$other"] = [$id, $other, $n];
            }
            if ($option->candidate->cost[Score::MUST] > 0) {
                $then["$id-$id"] = [$id, $id, $option->candidate->cost[Score::MUST]];
            }
            $this->on->put($id, $option);
            $own = Score::sum($option->candidate->cost, $was->cost, -1);
            $this->sure = Score::sum($this->sure, $own);
            $this->decide($id);
            $this->branch($then, $moves + 1);
            $this->undecide($id);
            $this->sure = Score::sum($this->sure, $own, -1);
            $this->on->takeBack($id, $was, $option);
            // Nothing is left to decide: the places that follow cost more.
            if ($this->isCut || ($open === [] && $chain === [] && $this->allowed === 0)) {
                break;
            }
        }
    }

    private function keep(int $moves, int $left): void
    {
        $score = $this->on->total();
        if ($this->score !== [] && $score >= $this->score) {
            return;
        }
        $this->best = $this->on->moved();
        $this->score = $score;
        // Fewer clashes were looked for before, with fewer allowed.
        $this->most = $moves;
        $this->allowed = $left;
    }

    /**
     * The clashes that one of their series could still clear, and how many cannot be cleared any more.
     *
     * @param  array<string, array{int, int, int}>  $clashes
     * @return array{array<string, array{int, int, int}>, int}
     */
    private function open(array $clashes): array
    {
        $left = 0;
        foreach ($clashes as $key => [$a, $b, $n]) {
            if (isset($this->decided[$a], $this->decided[$b])) {
                $left += $n;
                unset($clashes[$key]);
            }
        }

        return [$clashes, $left];
    }

    /**
     * The clash that leaves least to choose: one whose other series is decided, before all others.
     *
     * @param  non-empty-array<string, array{int, int, int}>  $open
     * @return array{int, int}
     */
    private function narrowest(array $open): array
    {
        foreach ($open as [$a, $b]) {
            if ($a === $b || isset($this->decided[$a]) || isset($this->decided[$b])) {
                return [$a, $b];
            }
        }
        [$a, $b] = reset($open);

        return [$a, $b];
    }

    /**
     * A lower bound on the moves that open clashes need.
     *
     * @param  array<array{int, int, int}>  $open
     */
    private function needed(array $open): int
    {
        $taken = [];
        foreach ($open as [$a, $b]) {
            if ($a === $b || isset($this->decided[$b])) {
                $taken[$a] = true;
            } elseif (isset($this->decided[$a])) {
                $taken[$b] = true;
            }
        }
        $size = count($taken);
        foreach ($open as [$a, $b]) {
            if (! isset($taken[$a]) && ! isset($taken[$b])) {
                $taken[$a] = $taken[$b] = true;
                $size++;
            }
        }

        return $size;
    }
}
