<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/** What runs on each host account, as far as it is given out by now; and whether more fits there. */
final class Occupancy
{
    /** @var array<int, array<int, list<array{int, int, int}>>> by account, then by day of UTC: start, end, series */
    private array $on = [];

    /**
     * Whether an account's plan holds a series, and it has a place for each of its sessions.
     *
     * @param  int  $but  a series that is thought away
     */
    public function takes(HostedSeries $series, HostAccount $account, int $but = 0): bool
    {
        if (! $account->holds($series)) {
            return false;
        }
        $days = $this->on[$account->id] ?? [];
        foreach ($series->sessions as [$start, $end]) {
            $within = [];
            for ($day = intdiv($start, 86400), $last = intdiv($end - 1, 86400); $day <= $last; $day++) {
                foreach ($days[$day] ?? [] as $other) {
                    if ($other[0] < $end && $other[1] > $start && $other[2] !== $but) {
                        if ($account->atOnce === 1) {
                            return false;
                        }
                        $within["$other[0] $other[2]"] = $other;
                    }
                }
            }
            if (count($within) >= $account->atOnce && self::most($within, $start) >= $account->atOnce) {
                return false;
            }
        }

        return true;
    }

    /**
     * The first of some accounts that takes a series; null where none does.
     *
     * @param  list<HostAccount>  $accounts
     */
    public function room(HostedSeries $series, array $accounts): ?int
    {
        foreach ($accounts as $account) {
            if ($this->takes($series, $account)) {
                return $account->id;
            }
        }

        return null;
    }

    /**
     * The same, with one account asked before the others.
     *
     * @param  list<HostAccount>  $accounts
     */
    public function roomFirstOn(?int $first, HostedSeries $series, array $accounts): ?int
    {
        $asked = array_values(array_filter($accounts, fn (HostAccount $a): bool => $a->id === $first));

        return $this->room($series, $asked) ?? $this->room($series, $accounts);
    }

    public function put(HostedSeries $series, int $account): void
    {
        foreach ($series->sessions as [$start, $end]) {
            foreach (range(intdiv($start, 86400), intdiv($end - 1, 86400)) as $day) {
                $this->on[$account][$day][] = [$start, $end, $series->series];
            }
        }
    }

    public function takeOff(int $series, int $account): void
    {
        $this->on[$account] = array_map(
            fn (array $day): array => array_values(array_filter($day, fn (array $s): bool => $s[2] !== $series)),
            $this->on[$account] ?? [],
        );
    }

    /**
     * The series that stand against one on an account, where they are few: moving one of many helps nobody.
     *
     * @return list<int>
     */
    public function against(HostedSeries $series, int $account): array
    {
        $out = [];
        foreach ($series->sessions as [$start, $end]) {
            for ($day = intdiv($start, 86400), $last = intdiv($end - 1, 86400); $day <= $last; $day++) {
                foreach ($this->on[$account][$day] ?? [] as $other) {
                    if ($other[0] < $end && $other[1] > $start) {
                        $out[$other[2]] = $other[2];
                    }
                }
            }
            if (count($out) > 3) {
                return [];
            }
        }

        return array_values($out);
    }

    /**
     * The most that run at once: counted at each start.
     *
     * @param  array<array{int, int, int}>  $within
     */
    private static function most(array $within, int $start): int
    {
        $most = 0;
        foreach ($within as $one) {
            $moment = max($one[0], $start);
            $most = max(
                $most,
                count(array_filter($within, fn (array $o): bool => $o[0] <= $moment && $o[1] > $moment)),
            );
        }

        return $most;
    }
}
