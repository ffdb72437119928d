<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

use Generator;

/** Every series at one of its places, and what that costs: kept by difference while series move. */
final class Arrangement
{
    /** Minutes of a bucket in which series that are near each other in time are looked up. */
    private const BUCKET = 15;

    /** Numbers of buckets in a lane, and one for the whole of it. */
    private const LANE = 200;

    /** @var array<int, Candidate> where each series is */
    private array $at = [];

    /** @var array<string, array<int, int>> series of each person who has a limit, by day from the first one on */
    private array $counts = [];

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
        foreach (array_keys($this->problem->limits->people ?? []) as $id) {
            $this->total = Score::advised($this->total, $this->count($id, $this->at[$id], 1));
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
        $this->count($id, $this->at[$id], -1);
        $this->at[$id] = $option->candidate;
        $this->count($id, $this->at[$id], 1);
        $this->total = Score::sum($this->total, $option->change);
    }

    /** Puts it back to where it was before the last {@see put()}. */
    public function takeBack(int $id, Candidate $was, Option $option): void
    {
        $this->count($id, $this->at[$id], -1);
        $this->at[$id] = $was;
        $this->count($id, $this->at[$id], 1);
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
        return iterator_to_array($this->eachOption($id, $candidates), false);
    }

    /**
     * The same one by one, for those who may not need them all.
     *
     * @param  list<Candidate>  $candidates
     * @return Generator<Option>
     */
    public function eachOption(int $id, array $candidates): Generator
    {
        $near = $this->near($id);
        $met = $excess = [];
        $full = $this->full($id);
        [$before] = $this->against($id, $this->at[$id], $near, $met);
        $before = Score::advised($before, self::excess($this->at[$id], $full, $excess));
        foreach ($candidates as $candidate) {
            [$after, $clashes] = $this->against($id, $candidate, $near, $met);
            $after = Score::advised($after, self::excess($candidate, $full, $excess));

            yield new Option($candidate, Score::sum($after, $before, -1), $clashes);
        }
    }

    /** Counts a series' days for everybody in it; by how much that changes what is over their limits. */
    private function count(int $id, Candidate $at, int $times): int
    {
        $people = $this->problem->limits->people[$id] ?? [];
        if ($people === [] || $at->blocks === []) {
            return 0;
        }
        $out = 0;
        $all = self::daysOf($at);
        foreach ($people as [$person, $most, $there]) {
            for ($day = -1; ($day = strpos($there === null ? $all : $all & $there, "\1", $day + 1)) !== false;) {
                $n = $this->counts[$person][$day] ?? 0;
                $this->counts[$person][$day] = $n + $times;
                $out += max(0, $n + $times - $most) - max(0, $n - $most);
            }
        }

        return $out;
    }

    /**
     * On which days those in a series have as many others as they should have.
     *
     * @return list<string>
     */
    private function full(int $id): array
    {
        $people = $this->problem->limits->people[$id] ?? [];
        $own = $people === [] || $this->at[$id]->blocks === [] ? '' : self::daysOf($this->at[$id]);
        $out = [];
        foreach ($people as [$person, $most, $there]) {
            $full = [];
            foreach ($this->counts[$person] ?? [] as $day => $n) {
                $isOwn = ($own[$day] ?? '') === "\1" && ($there === null || $there[$day] === "\1");
                if ($n - (int) $isOwn >= $most && ($there === null || $there[$day] === "\1")) {
                    $full[] = $day;
                }
            }
            if ($full !== []) {
                $out[] = DaySet::of($full, 0, max($full) + 1);
            }
        }

        return $out;
    }

    /**
     * @param  list<string>  $full
     * @param  array<string, int>  $known  by days
     */
    private static function excess(Candidate $at, array $full, array &$known): int
    {
        if ($full === [] || $at->blocks === []) {
            return 0;
        }
        $days = self::daysOf($at);
        if (! isset($known[$days])) {
            $known[$days] = 0;
            foreach ($full as $of) {
                $known[$days] += DaySet::count($days & $of);
            }
        }

        return $known[$days];
    }

    private static function daysOf(Candidate $at): string
    {
        $days = '';
        foreach ($at->blocks as $block) {
            $days |= $block->days;
        }

        return $days;
    }

    /**
     * The sessions of others that share something with a series: by lane and bucket of the day; those of its own
     * section by lane alone, since they count at any time of a day.
     *
     * @return array<int, list<array{int, Block, SharedPeople, int}>> other series, its sessions, what is shared, and a
     *   number of its own for each
     */
    private function near(int $id): array
    {
        $near = [];
        $n = 0;
        foreach ($this->problem->shared[$id] ?? [] as $other => $shared) {
            foreach ($this->at[$other]->blocks as $block) {
                $entry = [$other, $block, $shared, $n++];
                if ($shared->isSameSection) {
                    $near[self::LANE * $block->lane - 1][] = $entry;

                    continue;
                }
                // Those in which a block has another within a pause.
                $last = intdiv($block->to - 1, self::BUCKET) + 1;
                for ($bucket = intdiv($block->from, self::BUCKET) - 1; $bucket <= $last; $bucket++) {
                    $near[self::LANE * $block->lane + $bucket + 1][] = $entry;
                }
            }
        }

        return $near;
    }

    /**
     * What a series costs at a place, alone and with the others where they are.
     *
     * @param  array<int, list<array{int, Block, SharedPeople, int}>>  $near
     * @param  array<int, array{int, int, array<int, int>}>  $met  by block: places share most of their sessions
     * @return array{list<int>, array<int, int>} in the order of {@see Score}, and the must-fix clashes by the other
     *   series
     */
    private function against(int $id, Candidate $candidate, array $near, array &$met): array
    {
        $must = $students = $advice = 0;
        $kinds = $clashes = [];
        foreach ($candidate->blocks as $block) {
            $cost = $met[spl_object_id($block)] ??= $this->met($block, $near);
            $students += $cost[0];
            $advice += $cost[1];
            foreach ($cost[2] as $other => $kind) {
                $kinds[$other] = ($kinds[$other] ?? 0) | $kind;
            }
        }
        foreach ($kinds as $other => $of) {
            $n = $this->problem->must($candidate, $this->at[$other], $this->problem->shared[$id][$other], $of);
            if ($n > 0) {
                $must += $n;
                $clashes[$other] = $n;
            }
        }

        return [self::with($candidate->cost, [$must, $students, $advice]), $clashes];
    }

    /**
     * @param  array<int, list<array{int, Block, SharedPeople, int}>>  $near
     * @return array{int, int, array<int, int>} students, advice, and the kinds of clashes by the other series
     */
    private function met(Block $block, array $near): array
    {
        $students = $advice = 0;
        $kinds = $seen = [];
        $lane = self::LANE * $block->lane;
        $buckets = [
            $lane - 1,
            ...range(
                $lane + 1 + intdiv($block->from, self::BUCKET),
                $lane + 1 + intdiv($block->to - 1, self::BUCKET),
            ),
        ];
        foreach ($buckets as $bucket) {
            foreach ($near[$bucket] ?? [] as [$other, $with, $shared, $n]) {
                if (isset($seen[$n])) {
                    continue;
                }
                $seen[$n] = true;
                [$of, $s, $a] = $this->problem->meet($block, $with, $shared);
                $students += $s;
                $advice += $a;
                if ($of !== 0) {
                    $kinds[$other] = ($kinds[$other] ?? 0) | $of;
                }
            }
        }

        return [$students, $advice, $kinds];
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
