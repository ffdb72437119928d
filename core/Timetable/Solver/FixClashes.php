<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Moves as few series as possible so that as few must-fix clashes as possible are left, and of those arrangements finds
 * one that costs as little as possible ({@see Score}).
 *
 * 1. Series without a time get one ({@see Placing}).
 * 2. Clashes that share a series are repaired together, one such part of the timetable after the other ({@see Repair}).
 * 3. Each moved series looks for a better place, and whether it need move at all, until nothing gets better.
 * 4. Where there is time, all parts are looked at together to the end: then the answer is the best in every respect.
 *
 * The same problem and seed give the same answer, and more time never gives a worse one.
 */
final class FixClashes
{
    /** Places looked up for one part before what was found is taken. */
    private const STEPS = 400;

    /** Places looked up for all parts together. */
    private const ALL_STEPS = 200000;

    /** Moves beyond the fewest thinkable that are tried for a part. */
    private const BEYOND = 3;

    /** Series that can move, up to which the costs of all their places are looked at. */
    private const SMALL = 80;

    private Arrangement $on;

    /** @var array<int, Candidate> where series move in the best arrangement */
    private array $best = [];

    /** @var list<int> its score */
    private array $score = Score::NONE;

    private Randomizer $random;

    public function __construct(
        private readonly Problem $problem,
        private readonly Deadline $deadline,
        int $seed = 1,
    ) {
        $this->on = new Arrangement($problem);
        $this->random = new Randomizer(new Mt19937($seed));
    }

    public function answer(): Answer
    {
        $before = $this->on->total();
        $clashes = $this->on->clashes();
        $bound = $this->bound($clashes);
        (new Placing($this->on, $this->deadline))->place();
        foreach ($this->parts($this->on->clashes()) as $part) {
            $this->repair($part);
        }
        $this->improve();
        $isProved = $this->lookAtAll($clashes, $bound);

        return new Answer(
            $this->on->moved(),
            Score::of($before),
            Score::of($this->on->total()),
            $bound,
            $isProved,
            $this->on->clashes(),
            $this->deadline->passed(),
        );
    }

    /**
     * A vertex cover of those clashes that some place could clear.
     *
     * @param  array<string, array{int, int, int}>  $clashes
     */
    private function bound(array $clashes): int
    {
        $out = $edges = [];
        foreach ($clashes as [$a, $b]) {
            foreach ([$a, $b] as $id) {
                if (! isset($out[$id]) && ! $this->hasClearPlace($id)) {
                    $out[$id] = true;
                }
            }
            $edges[] = [$a, $b];
        }

        return VertexCover::size($edges, $out);
    }

    /** Whether there is a place at which a series meets nothing that is pinned. */
    private function hasClearPlace(int $id): bool
    {
        foreach ($this->on->eachOption($id, $this->problem->series[$id]->candidates()) as $option) {
            $isClear = $option->candidate->cost[Score::MUST] === 0;
            foreach ($option->clashes as $other => $_) {
                $isClear = $isClear && ! $this->problem->series[$other]->isPinned;
            }
            if ($isClear) {
                return true;
            }
        }

        return false;
    }

    /**
     * Clashes that share a series that can move, together.
     *
     * @param  array<string, array{int, int, int}>  $clashes
     * @return list<array<string, array{int, int, int}>> small parts first
     */
    private function parts(array $clashes): array
    {
        $part = [];
        $find = function (int $id) use (&$part): int {
            while (($part[$id] ??= $id) !== $id) {
                $id = $part[$id];
            }

            return $id;
        };
        $movable = fn (int $id): bool => ! $this->problem->series[$id]->isPinned;
        foreach ($clashes as [$a, $b]) {
            if ($movable($a) && $movable($b)) {
                $part[$find($a)] = $find($b);
            }
        }
        $out = [];
        foreach ($clashes as $key => [$a, $b, $n]) {
            $out[$find($movable($a) ? $a : $b)][$key] = [$a, $b, $n];
        }
        usort($out, fn (array $x, array $y): int => count($x) <=> count($y));

        return $out;
    }

    /**
     * Clears as many clashes of a part as it can, in as few moves.
     *
     * @param  array<string, array{int, int, int}>  $part
     */
    private function repair(array $part): void
    {
        $edges = array_values(array_map(fn (array $c): array => [$c[0], $c[1]], $part));
        $pinned = array_filter($this->problem->series, fn (MovableSeries $s): bool => $s->isPinned);
        $fewest = VertexCover::size($edges, array_fill_keys(array_keys($pinned), true));
        $all = array_sum(array_column($part, 2));
        for ($allowed = 0; $allowed < $all; $allowed++) {
            for ($most = $fewest; $most <= $fewest + self::BEYOND; $most++) {
                $found = $this->best($part, $allowed, $most);
                if ($found !== null) {
                    $this->on->set($found);

                    return;
                }
                if ($this->deadline->isOver()) {
                    return;
                }
            }
            $fewest = max(0, $fewest - 1);
        }
    }

    /**
     * @param  array<string, array{int, int, int}>  $clashes
     * @param  list<int>  $stay
     * @return array<int, Candidate>|null
     */
    private function best(array $clashes, int $allowed, int $most, array $stay = []): ?array
    {
        return (new Repair($this->on, $this->deadline, $allowed, $most, self::STEPS))->find($clashes, $stay);
    }

    /** Until no moved series has a better place, and none can stay with others moving in its stead. */
    private function improve(): void
    {
        do {
            $before = $this->on->total();
            foreach ($this->random->shuffleArray(array_keys($this->on->moved())) as $id) {
                if ($this->deadline->isOver()) {
                    return;
                }
                $this->settle((int) $id);
            }
            foreach ($this->random->shuffleArray(array_keys($this->on->moved())) as $id) {
                if ($this->deadline->isOver()) {
                    return;
                }
                $this->replace((int) $id);
            }
        } while ($this->on->total() < $before);
    }

    /** The best place for one series, the others where they are. */
    private function settle(int $id): void
    {
        $series = $this->problem->series[$id];
        $best = null;
        foreach ($this->on->options($id, [$series->now, ...$series->candidates()]) as $option) {
            if ($option->change < Score::NONE && ($best === null || $option->change < $best->change)) {
                $best = $option;
            }
        }
        if ($best !== null) {
            $this->on->put($id, $best);
        }
    }

    /** Leaves one moved series where it was, and moves others for it if that is better. */
    private function replace(int $id): void
    {
        $was = $this->on->moved();
        $score = $this->on->total();
        if (! isset($was[$id]) || $this->problem->series[$id]->now->isNowhere()) {
            return;
        }
        $this->on->put($id, $this->on->option($id, $this->problem->series[$id]->now));
        $clashes = array_filter($this->on->clashes(), fn (array $c): bool => $c[0] === $id || $c[1] === $id);
        $allowed = max(
            0,
            $score[Score::MUST] - $this->on->total()[Score::MUST] + array_sum(array_column($clashes, 2)),
        );
        $found = $this->best($clashes, $allowed, 1, [$id]);
        $this->on->set($found ?? $was);
        if ($this->on->total() >= $score) {
            $this->on->set($was);
        }
    }

    /**
     * Looks for the best arrangement among all, if that can be done; else only says whether the moves are as few as the
     * bound.
     *
     * @param  array<string, array{int, int, int}>  $clashes
     */
    private function lookAtAll(array $clashes, int $bound): bool
    {
        $this->best = $this->on->moved();
        $this->score = $this->on->total();
        $this->on->set([]);
        $isComplete = $this->withFewerClashes($clashes) && $this->withFewestMoves($clashes);
        $this->on->set($this->best);

        return $isComplete || ($this->score[Score::MUST] === 0 && $this->score[Score::MOVED] === $bound);
    }

    /**
     * Looks for fewer clashes in as many moves as it takes.
     *
     * @param  array<string, array{int, int, int}>  $clashes
     * @return bool whether all was looked at
     */
    private function withFewerClashes(array $clashes): bool
    {
        for ($allowed = 0; $allowed < $this->score[Score::MUST]; $allowed++) {
            $repair = new Repair(
                $this->on,
                $this->deadline,
                $allowed,
                count($this->problem->series),
                self::ALL_STEPS,
            );
            $this->keep($repair->find($clashes));
            if (! $repair->isComplete()) {
                return false;
            }
        }

        return true;
    }

    /**
     * Looks for the cheapest arrangement with as many clashes and as few moves as there can be: first whether fewer
     * moves will do, so that what follows need only beat the best one in what counts after the moves.
     *
     * @param  array<string, array{int, int, int}>  $clashes
     * @return bool whether all was looked at
     */
    private function withFewestMoves(array $clashes): bool
    {
        $movable = count(array_filter($this->problem->series, fn (MovableSeries $s): bool => ! $s->isPinned));
        $gains = $movable > self::SMALL ? null : Repair::gains($this->problem);
        for ($most = 0; $most <= $this->score[Score::MOVED]; $most++) {
            $repair = new Repair(
                $this->on,
                $this->deadline,
                $this->score[Score::MUST],
                $most,
                self::ALL_STEPS,
                $gains,
                $most === $this->score[Score::MOVED] ? $this->score : [],
            );
            $this->keep($repair->find($clashes));
            if (! $repair->isComplete()) {
                return false;
            }
        }

        return true;
    }

    /** @param  array<int, Candidate>|null  $found */
    private function keep(?array $found): void
    {
        if ($found !== null) {
            $this->on->set($found);
            if ($this->on->total() < $this->score) {
                $this->best = $found;
                $this->score = $this->on->total();
            }
            $this->on->set([]);
        }
    }
}
