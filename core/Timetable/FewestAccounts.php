<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/**
 * The fewest accounts of each of several plans with which every session finds a place; of equally many, those with the
 * fewest seats, and then for the shortest sessions. A session that no plan holds is left out: no number of accounts
 * helps it.
 *
 * For every set of plans, the sessions that only these hold run on them alone, so their peak is a bound. What meets
 * all bounds is tried by search, stretch by stretch, and the first that fits is the answer. (With two nested plans
 * the bounds are exact; with more they are not: Kolen and Kroon, "On the computational complexity of license class
 * design", 1991.)
 */
final readonly class FewestAccounts
{
    /** @var list<HostAccount> one of each size, the smallest first */
    private array $kinds;

    /** @var list<OverlapGroup> one of each shape */
    private array $stretches;

    /** @var array<int, int> by a set of kinds, as bits: how many run at once that only these hold */
    private array $peaks;

    /**
     * @param  list<HostedSeries>  $running
     * @param  list<HostAccount>  $kinds  one account of each plan
     */
    public function __construct(array $running, array $kinds)
    {
        usort(
            $kinds,
            fn (HostAccount $a, HostAccount $b): int => [$a->seats, $a->minutes, -$a->atOnce, $a->plan] <=> [
                $b->seats,
                $b->minutes,
                -$b->atOnce,
                $b->plan,
            ],
        );
        // Of two that hold the same the one with more at once is never the worse.
        $sizes = [];
        foreach ($kinds as $kind) {
            $sizes["$kind->seats $kind->minutes"] ??= $kind;
        }
        $this->kinds = array_values($sizes);
        $held = $this->held($running);
        $stretches = [];
        foreach (OverlapGroup::all($held) as $stretch) {
            $stretches[$stretch->shape()] ??= $stretch;
        }
        $this->stretches = array_values($stretches);
        $this->peaks = $this->peaks($held);
    }

    /** @return array<string, int> by the plan's name; those of which none is needed are not in it */
    public function of(): array
    {
        if ($this->stretches === [] || $this->kinds === []) {
            return [];
        }
        $all = (1 << count($this->kinds)) - 1;
        $peak = $this->peaks[$all];
        $most = array_map(fn (HostAccount $k): int => intdiv($peak + $k->atOnce - 1, $k->atOnce), $this->kinds);
        for ($total = min($most ?: [0]); ; $total++) {
            $some = $this->counts($total, $most, []);
            usort($some, fn (array $a, array $b): int => [$this->size($a), $a] <=> [$this->size($b), $b]);
            foreach ($some as $counts) {
                if ($this->fits($counts)) {
                    $named = array_combine(array_column($this->kinds, 'plan'), $counts);

                    return array_filter($named, fn (int $n): bool => $n > 0);
                }
            }
        }
    }

    /**
     * @param  list<HostedSeries>  $running
     * @return list<HostedSeries> one of each session that some plan holds
     */
    private function held(array $running): array
    {
        $out = [];
        foreach ($running as $series) {
            foreach ($series->sessions as $session) {
                $one = new HostedSeries($series->series, [$session], $series->people);
                if ($this->holders($one) !== 0) {
                    $out[] = $one;
                }
            }
        }

        return $out;
    }

    /** The kinds that hold a session, as bits. */
    private function holders(HostedSeries $one): int
    {
        $bits = 0;
        foreach ($this->kinds as $i => $kind) {
            $bits |= $kind->holds($one) ? 1 << $i : 0;
        }

        return $bits;
    }

    /**
     * @param  list<HostedSeries>  $sessions
     * @return array<int, int>
     */
    private function peaks(array $sessions): array
    {
        $out = [];
        for ($set = 1; $set < 1 << count($this->kinds); $set++) {
            $only = array_values(
                array_filter($sessions, fn (HostedSeries $one): bool => ($this->holders($one) & ~$set) === 0),
            );
            $out[$set] = (new Licences($only))->peak()['n'];
        }

        return $out;
    }

    /**
     * Every way to have so many accounts in all that meets the bounds.
     *
     * @param  list<int>  $most  by kind
     * @param  list<int>  $before  counts of the kinds before
     * @return list<list<int>>
     */
    private function counts(int $total, array $most, array $before): array
    {
        $i = count($before);
        if ($i === count($most)) {
            return $total === 0 && $this->meetsBounds($before) ? [$before] : [];
        }
        $out = [];
        $rest = array_sum(array_slice($most, $i + 1));
        for ($n = max(0, $total - $rest); $n <= min($total, $most[$i]); $n++) {
            array_push($out, ...$this->counts($total - $n, $most, [...$before, $n]));
        }

        return $out;
    }

    /**
     * @param  list<int>  $counts
     * @return array{int, int} seats and minutes of all of them: the less, the better
     */
    private function size(array $counts): array
    {
        $of = fn (callable $each): int => array_sum(array_map($each, $this->kinds, $counts));

        return [
            $of(fn (HostAccount $k, int $n): int => $k->seats * $n),
            $of(fn (HostAccount $k, int $n): int => $k->minutes * $n),
        ];
    }

    /** @param  list<int>  $counts */
    private function meetsBounds(array $counts): bool
    {
        foreach ($this->peaks as $set => $peak) {
            $places = 0;
            foreach ($this->kinds as $i => $kind) {
                $places += ($set >> $i) & 1 ? $kind->atOnce * $counts[$i] : 0;
            }
            if ($places < $peak) {
                return false;
            }
        }

        return true;
    }

    /** @param  list<int>  $counts */
    private function fits(array $counts): bool
    {
        $accounts = [];
        foreach ($this->kinds as $i => $kind) {
            for ($n = 0; $n < $counts[$i]; $n++) {
                $accounts[] = new HostAccount(
                    count($accounts) + 1,
                    '',
                    $kind->seats,
                    $kind->minutes,
                    $kind->atOnce,
                );
            }
        }
        foreach ($this->stretches as $stretch) {
            if ($stretch->fit($accounts) === null) {
                return false;
            }
        }

        return true;
    }
}
