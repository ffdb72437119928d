<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

/** Every series at one of its places, and what that costs: kept by difference while series move. */
final class Arrangement
{
    /** Minutes of a bucket in which series that are near each other in time are looked up. */
    private const BUCKET = 15;

    /** @var array<int, Candidate> where each series is */
    private array $at = [];

    /** @var list<int> in the order of {@see Score} */
    private array $total = Score::NONE;

    /** Every series where it is now. */
    public function __construct(public readonly Problem $problem)
    {
        foreach ($problem->series as $id => $series) {
            $this->at[$id] = $series->now;
            $this->total = Score::sum($this->total, $series->now->cost);
        }
        foreach ($problem->shared as $id => $others) {
            foreach ($others as $other => $shared) {
                if ($id < $other) {
                    $this->total = self::with(
                        $this->total,
                        $problem->pair($this->at[$id], $this->at[$other], $shared),
                    );
                }
            }
        }
    }

    public function of(int $id): Candidate
    {
        return $this->at[$id];
    }

    /** @return list<int> in the order of {@see Score} */
    public function total(): array
    {
        return $this->total;
    }

    /** @return array<int, Candidate> where each series is that is not where it was */
    public function moved(): array
    {
        return array_filter(
            $this->at,
            fn (Candidate $c, int $id): bool => $c !== $this->problem->series[$id]->now,
            ARRAY_FILTER_USE_BOTH,
        );
    }

    /**
     * The must-fix clashes as it stands.
     *
     * @return array<string, array{int, int, int}> by "smaller-larger id": the two series and how many; the same id
     *   twice where a series is at a busy time of its teacher
     */
    public function clashes(): array
    {
        $out = [];
        foreach ($this->at as $id => $candidate) {
            if ($candidate->cost[Score::MUST] > 0) {
                $out["$id-$id"] = [$id, $id, $candidate->cost[Score::MUST]];
            }
        }
        foreach ($this->problem->shared as $id => $others) {
            foreach ($others as $other => $shared) {
                $must = $id < $other ? $this->problem->pair($this->at[$id], $this->at[$other], $shared)[0] : 0;
                if ($must > 0) {
                    $out["$id-$other"] = [$id, $other, $must];
                }
            }
        }

        return $out;
    }

    /** What it would cost to have a series at a place, the others where they are. */
    public function option(int $id, Candidate $candidate): Option
    {
        return $this->options($id, [$candidate])[0];
    }

    /** Puts a series at a place. */
    public function put(int $id, Option $option): void
    {
        $this->at[$id] = $option->candidate;
        $this->total = Score::sum($this->total, $option->change);
    }

    /** Puts it back to where it was before the last {@see put()}. */
    public function takeBack(int $id, Candidate $was, Option $option): void
    {
        $this->at[$id] = $was;
        $this->total = Score::sum($this->total, $option->change, -1);
    }

    /**
     * Every series where a list says, and the others where they are now.
     *
     * @param  array<int, Candidate>  $moved
     */
    public function set(array $moved): void
    {
        foreach ($this->problem->series as $id => $series) {
            $to = $moved[$id] ?? $series->now;
            if ($this->at[$id] !== $to) {
                $this->put($id, $this->option($id, $to));
            }
        }
    }

    /**
     * What each of some places would cost.
     *
     * @param  list<Candidate>  $candidates
     * @return list<Option>
     */
    public function options(int $id, array $candidates): array
    {
        [$near, $always] = $this->near($id);
        $now = $this->at[$id];
        [$before] = $this->against($id, $now, $near, $always);
        $before = Score::sum($before, $now->cost);
        $out = [];
        foreach ($candidates as $candidate) {
            [$after, $clashes] = $this->against($id, $candidate, $near, $always);
            $change = Score::sum(Score::sum($after, $candidate->cost), $before, -1);
            $out[] = new Option($candidate, $change, $clashes);
        }

        return $out;
    }

    /**
     * The series that share something with one, by the buckets of the day in which they meet; and those that cost
     * something at any time of a day.
     *
     * @return array{array<int, list<int>>, list<int>}
     */
    private function near(int $id): array
    {
        $near = $always = [];
        foreach ($this->problem->shared[$id] ?? [] as $other => $shared) {
            if ($shared->isSameSection) {
                $always[] = $other;

                continue;
            }
            foreach ($this->at[$other]->blocks as $block) {
                foreach (self::buckets($block) as $bucket) {
                    $near[$bucket][] = $other;
                }
            }
        }

        return [$near, $always];
    }

    /** @return list<int> those in which a block has another within a pause */
    private static function buckets(Block $block): array
    {
        return range(intdiv($block->from, self::BUCKET) - 1, intdiv($block->to - 1, self::BUCKET) + 1);
    }

    /**
     * @param  array<int, list<int>>  $near
     * @param  list<int>  $always
     * @return array{list<int>, array<int, int>} the score of all pairs, and the must-fix clashes by the other series
     */
    private function against(int $id, Candidate $candidate, array $near, array $always): array
    {
        $others = array_fill_keys($always, true);
        foreach ($candidate->blocks as $block) {
            $last = intdiv($block->to - 1, self::BUCKET);
            for ($bucket = intdiv($block->from, self::BUCKET); $bucket <= $last; $bucket++) {
                foreach ($near[$bucket] ?? [] as $other) {
                    $others[$other] = true;
                }
            }
        }
        $score = Score::NONE;
        $clashes = [];
        foreach ($others as $other => $_) {
            $pair = $this->problem->pair($candidate, $this->at[$other], $this->problem->shared[$id][$other]);
            $score = self::with($score, $pair);
            if ($pair[0] > 0) {
                $clashes[$other] = $pair[0];
            }
        }

        return [$score, $clashes];
    }

    /**
     * @param  list<int>  $score
     * @param  array{int, int, int}  $pair
     * @return list<int>
     */
    private static function with(array $score, array $pair): array
    {
        return Score::sum($score, [$pair[0], 0, $pair[1], 0, 0, $pair[2], 0, 0]);
    }
}
