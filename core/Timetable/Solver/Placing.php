<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

/**
 * Gives a time to series that have none, beside everything that stands: the series with the fewest clear places first,
 * each at the clear place that costs least. Where one has no clear place left, it takes that of others that were placed
 * before it, and these are placed again (an ejection chain; F. Glover 1996). A series that was often put out weighs
 * more, so that the same few do not put each other out for ever.
 */
final class Placing
{
    /** Places given at most, for each series that has none. */
    private const TURNS = 15;

    /** @var array<int, list<Candidate>> the places of each waiting series at which it meets nobody */
    private array $clear = [];

    /** @var array<int, int> how often each was put out */
    private array $putOut = [];

    /** @var array<int, true> series that were given a place here */
    private array $placed = [];

    public function __construct(private readonly Arrangement $on, private readonly Deadline $deadline)
    {
    }

    /** Leaves the arrangement with as many placed as it found places for; whatever else stands is where it was. */
    public function place(): void
    {
        foreach ($this->on->problem->series as $id => $series) {
            if ($this->on->of($id)->isNowhere() && ! $series->isPinned && ! $this->deadline->isOver()) {
                $this->wait($id);
            }
        }
        $turns = self::TURNS * count($this->clear);
        $best = $this->on->moved();
        $fewest = count($this->clear);
        while ($this->clear !== [] && $turns-- > 0 && ! $this->deadline->isOver()) {
            $this->next();
            if (count($this->clear) < $fewest) {
                $fewest = count($this->clear);
                $best = $this->on->moved();
            }
        }
        $this->on->set($best);
    }

    /** Places the series that has least to choose from. */
    private function next(): void
    {
        $counts = array_map(count(...), $this->clear);
        asort($counts);
        $id = (int) array_key_first($counts);
        $option = $this->clear[$id] === [] ? $this->ejecting($id) : $this->cheapest($id, $this->clear[$id]);
        unset($this->clear[$id]);
        if ($option === null) {
            return;
        }
        $out = array_keys($option->clashes);
        foreach ($out as $other) {
            $this->on->put($other, $this->on->option($other, $this->on->problem->series[$other]->now));
            $this->putOut[$other] = ($this->putOut[$other] ?? 0) + 1;
            unset($this->placed[$other]);
        }
        $this->on->put($id, $this->on->option($id, $option->candidate));
        $this->placed[$id] = true;
        $this->narrow($id, $option->candidate);
        foreach ($out as $other) {
            // Who shares somebody with it has its place to choose from again.
            foreach (
                array_keys(array_intersect_key($this->on->problem->shared[$other], $this->clear)) as $waiting
            ) {
                $this->wait($waiting);
            }
            $this->wait($other);
        }
    }

    private function wait(int $id): void
    {
        $this->clear[$id] = [];
        foreach ($this->on->eachOption($id, $this->on->problem->series[$id]->candidates()) as $option) {
            if ($option->clashes === [] && $option->candidate->cost[Score::MUST] === 0) {
                $this->clear[$id][] = $option->candidate;
            }
        }
    }

    /** Takes from those who wait the places at which they would meet one that was just placed. */
    private function narrow(int $id, Candidate $at): void
    {
        foreach (array_intersect_key($this->on->problem->shared[$id] ?? [], $this->clear) as $other => $shared) {
            $this->clear[$other] = array_values(
                array_filter(
                    $this->clear[$other],
                    fn (Candidate $c): bool => $this->on->problem->pair($c, $at, $shared)[0] === 0,
                ),
            );
        }
    }

    /** @param  non-empty-list<Candidate>  $candidates */
    private function cheapest(int $id, array $candidates): Option
    {
        $options = $this->on->options($id, $candidates);
        usort($options, fn (Option $a, Option $b): int => $a->change <=> $b->change);

        return $options[0];
    }

    /** The place that puts out the least; null where something that stands is in the way at every one. */
    private function ejecting(int $id): ?Option
    {
        $best = $least = null;
        foreach ($this->on->options($id, $this->on->problem->series[$id]->candidates()) as $option) {
            if (
                $option->candidate->cost[Score::MUST] > 0 ||
                array_diff_key($option->clashes, $this->placed) !== []
            ) {
                continue;
            }
            $weight = 0;
            foreach (array_keys($option->clashes) as $other) {
                $weight += 1 + ($this->putOut[$other] ?? 0);
            }
            if ($least === null || [$weight, $option->change] < $least) {
                $least = [$weight, $option->change];
                $best = $option;
            }
        }

        return $best;
    }
}
