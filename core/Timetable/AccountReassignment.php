<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/**
 * Where an assignment leaves sessions over: each stretch of overlapping sessions that one of them is in is coloured
 * again from its start, which leaves none over where there are as many places as run at once (interval graphs are
 * perfect); with several plans by search. A stretch that this does not help stays as it is; a series' other sessions
 * stay where they are.
 */
final readonly class AccountReassignment
{
    /** @var list<HostAccount> the tightest plan first: what fits anywhere leaves the large ones to what needs them */
    private array $accounts;

    /**
     * @param  list<HostedSeries>  $running
     * @param  list<HostAccount>  $accounts
     */
    public function __construct(private array $running, array $accounts)
    {
        usort(
            $accounts,
            fn (HostAccount $a, HostAccount $b): int => [$a->seats, $a->minutes, $a->id] <=> [
                $b->seats,
                $b->minutes,
                $b->id,
            ],
        );
        $this->accounts = $accounts;
    }

    /**
     * @param  array<int, int>  $at  the account by series
     * @param  array<int, array<int, int>>  $split  by series, then by the session's start
     * @param  array<int, list<int>>  $left  by series: the starts of those left over
     * @return array{array<int, int>, array<int, array<int, int>>, array<int, list<int>>} the three as they are then
     */
    public function of(array $at, array $split, array $left): array
    {
        foreach (OverlapGroup::all($this->running) as $apart) {
            $stretch = $apart->sessions;
            $over = array_filter(
                $stretch,
                fn (HostedSeries $one): bool => in_array($one->sessions[0][0], $left[$one->series] ?? [], true),
            );
            if ($over === []) {
                continue;
            }
            // Everybody where they stand, if they can; else the tightest for each, which leaves room for the large.
            $kept = $this->coloured($stretch, $at, $split);
            $tight = count($kept) < count($stretch) ? $this->coloured($stretch, [], []) : [];
            $coloured = count($tight) > count($kept) ? $tight : $kept;
            if (count($coloured) < count($stretch)) {
                // One after another does not do it: with several plans there may be a way that only a search finds.
                $coloured = $apart->fit($this->accounts) ?? $coloured;
            }
            if (count($stretch) - count($coloured) >= count($over)) {
                continue;
            }
            foreach ($stretch as $i => $one) {
                $this->settle($one, $coloured[$i] ?? null, $at, $split, $left);
            }
        }

        return [$at, $split, $left];
    }

    /**
     * Each session of a stretch in turn on an account that has a place then: its own if it can, else the tightest.
     *
     * @param  list<HostedSeries>  $stretch
     * @param  array<int, int>  $at
     * @param  array<int, array<int, int>>  $split
     * @return array<int, int> the account by the session's place in the stretch; those for which there is none left out
     */
    private function coloured(array $stretch, array $at, array $split): array
    {
        $on = new Occupancy();
        $out = [];
        foreach ($stretch as $i => $one) {
            $own = $split[$one->series][$one->sessions[0][0]] ?? ($at[$one->series] ?? null);
            $id = $on->roomFirstOn($own, $one, $this->accounts);
            if ($id !== null) {
                $on->put($one, $id);
                $out[$i] = $id;
            }
        }

        return $out;
    }

    /**
     * Notes the account of one session, or that there is none: its series is one that is split then.
     *
     * @param  array<int, int>  $at
     * @param  array<int, array<int, int>>  $split
     * @param  array<int, list<int>>  $left
     */
    private function settle(HostedSeries $one, ?int $account, array &$at, array &$split, array &$left): void
    {
        $series = $one->series;
        $start = $one->sessions[0][0];
        if (isset($at[$series])) {
            if ($account === $at[$series]) {
                return;
            }
            foreach ($this->running as $whole) {
                if ($whole->series === $series) {
                    $split[$series] = array_fill_keys(array_column($whole->sessions, 0), $at[$series]);
                }
            }
            unset($at[$series]);
        }
        unset($split[$series][$start]);
        $left[$series] = array_values(array_diff($left[$series] ?? [], [$start]));
        if ($account === null) {
            $left[$series][] = $start;
            sort($left[$series]);
        } else {
            $split[$series][$start] = $account;
            ksort($split[$series]);
        }
        if (($split[$series] ?? []) === []) {
            unset($split[$series]);
        }
        if ($left[$series] === []) {
            unset($left[$series]);
        }
    }
}
