<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Term\Zone;

/**
 * How many sessions run at once, how many host accounts that takes, and which series runs on which.
 *
 * The fewest accounts follow from the peak: intervals can be coloured with as many colours as run at once (interval
 * graphs are perfect). A series that keeps one account for a whole term may need more; anybody who does not fit whole
 * is split over accounts, and where that leaves sessions over although there are accounts, those that run in one
 * stretch with them change accounts for that once. Accounts of one plan that are as many as the peak leave no session
 * over.
 */
final readonly class Licences
{
    /** Minutes of a step of the curve. */
    public const STEP = 5;

    /** @param  list<HostedSeries>  $running */
    public function __construct(private array $running)
    {
    }

    /**
     * The largest number of sessions that run at once, and when that is first and how often.
     *
     * @return array{n: int, from: int, to: int, times: int} UTC seconds
     */
    public function peak(): array
    {
        // Plain numbers sort fast: a moment doubled, and one more where something starts. At one moment ends come
        // first, since touching sessions follow each other on one account.
        $events = [];
        foreach ($this->running as $series) {
            foreach ($series->sessions as [$start, $end]) {
                $events[] = 2 * $start + 1;
                $events[] = 2 * $end;
            }
        }
        sort($events);
        $now = $n = $from = $to = $times = 0;
        foreach ($events as $event) {
            $at = $event >> 1;
            if (($event & 1) === 0) {
                $to = $now === $n && $to === 0 ? $at : $to;
                $now--;
            } elseif (++$now >= $n) {
                [$times, $from, $to] = $now > $n ? [1, $at, 0] : [$times + 1, $from, $to];
                $n = $now;
            }
        }

        return ['n' => $n, 'from' => $from, 'to' => $to, 'times' => $times];
    }

    /**
     * Sessions at once over the week: for every weekday and step, the most of any week.
     *
     * @return array<int, array<int, int>> by weekday (1 Monday), then by minute of the day; steps with none are not
     *   in it
     */
    public function curve(Zone $zone): array
    {
        $days = [];
        $all = array_merge(...array_map(fn (HostedSeries $r): array => array_column($r->sessions, 0), $this->running));
        // One offset a day, but for the days on which the clock changes.
        $offsets = $all === [] ? [] : $zone->offsets(intdiv(min($all), 86400) - 1, intdiv(max($all), 86400) + 1);
        foreach ($this->running as $series) {
            foreach ($series->sessions as [$start, $end]) {
                $offset = $offsets[intdiv($start, 86400)] ?? null;
                $wall = $start + ($offset ?? $zone->offsetAt($start));
                $day = intdiv($wall, 86400);
                $minute = intdiv($wall % 86400, 60);
                $last = $minute + intdiv($end - $start + 59, 60);
                for ($at = $minute - ($minute % self::STEP); $at < $last; $at += self::STEP) {
                    $days[$day][$at] = ($days[$day][$at] ?? 0) + 1;
                }
            }
        }
        $out = [];
        foreach ($days as $day => $steps) {
            $weekday = \Nomada\Core\Term\LocalDate::weekdayOf($day);
            foreach ($steps as $minute => $n) {
                $out[$weekday][$minute] = max($out[$weekday][$minute] ?? 0, $n);
            }
        }
        array_walk($out, fn (array &$steps) => ksort($steps));
        ksort($out);

        return $out;
    }

    /** How many accounts of one plan suffice. */
    public function fewest(int $atOnce = 1): int
    {
        return (int) ceil($this->peak()['n'] / max(1, $atOnce));
    }

    /**
     * Keeps series where they are if they fit; then places the rest, those first that obstruct most; moves one
     * if that makes room; and splits a series over accounts only where no account has room for the whole of
     * it.
     *
     * @param  list<HostAccount>  $accounts
     */
    public function assign(array $accounts): Assignment
    {
        if ($accounts === []) {
            return new Assignment(
                [],
                [],
                array_combine(
                    array_column($this->running, 'series'),
                    array_map(fn (HostedSeries $r): array => array_column($r->sessions, 0), $this->running),
                ),
                0,
            );
        }
        $on = new Occupancy();
        $byId = array_combine(array_column($accounts, 'id'), $accounts);
        $at = $waiting = [];
        $bySessions = $this->running;
        usort(
            $bySessions,
            fn (HostedSeries $a, HostedSeries $b): int => [-count($a->sessions), $a->series] <=> [
                -count($b->sessions),
                $b->series,
            ],
        );
        foreach ($bySessions as $series) {
            $account = $series->account === null ? null : $byId[$series->account] ?? null;
            if ($account !== null && $on->takes($series, $account)) {
                $on->put($series, $account->id);
                $at[$series->series] = $account->id;
            } else {
                $waiting[] = $series;
            }
        }
        $byWay = $this->inTheWay($waiting);
        usort(
            $waiting,
            fn (HostedSeries $a, HostedSeries $b): int => [-$byWay[$a->series], $a->series] <=> [
                -$byWay[$b->series],
                $b->series,
            ],
        );
        $unplaced = $elsewhere = [];
        $byId = array_combine(array_column($this->running, 'series'), $this->running);
        foreach ($waiting as $series) {
            $id = $on->room($series, $accounts) ?? $this->makeRoom($series, $accounts, $on, $at, $byId, $elsewhere);
            if ($id === null) {
                $unplaced[] = $series;
            } else {
                $on->put($series, $id);
                $at[$series->series] = $id;
            }
        }
        $split = $left = [];
        foreach ($unplaced as $series) {
            $this->split($series, $accounts, $on, $split, $left);
        }
        if ($left !== []) {
            [$at, $split, $left] = (new AccountReassignment($this->running, $accounts))->of($at, $split, $left);
        }
        $changed = count(
            array_filter(
                $this->running,
                fn (HostedSeries $r): bool => $r->account !== null && ($at[$r->series] ?? $r->account) !== $r->account,
            ),
        );
        ksort($at);

        return new Assignment($at, $split, $left, $changed);
    }

    /**
     * Moves one series that is in the way to another account, where that makes room.
     *
     * @param  list<HostAccount>  $accounts
     * @param  array<int, int>  $at
     * @param  array<int, HostedSeries>  $byId
     * @param  array<string, int|null>  $elsewhere  where each series could go from its account, as long as nothing
     *   has moved
     */
    private function makeRoom(
        HostedSeries $series,
        array $accounts,
        Occupancy $on,
        array &$at,
        array $byId,
        array &$elsewhere,
    ): ?int {
        foreach ($accounts as $account) {
            if (! $account->holds($series)) {
                continue;
            }
            foreach ($on->against($series, $account->id) as $other) {
                if (! $on->takes($series, $account, $other)) {
                    continue;
                }
                $key = "$other $account->id";
                if (! array_key_exists($key, $elsewhere)) {
                    $elsewhere[$key] = $on->room(
                        $byId[$other],
                        array_values(array_filter($accounts, fn (HostAccount $a): bool => $a->id !== $account->id)),
                    );
                }
                $to = $elsewhere[$key];
                if ($to !== null) {
                    $on->takeOff($other, $account->id);
                    $on->put($byId[$other], $to);
                    $at[$other] = $to;
                    $elsewhere = [];

                    return $account->id;
                }
            }
        }

        return null;
    }

    /**
     * @param  list<HostAccount>  $accounts
     * @param  array<int, array<int, int>>  $split
     * @param  array<int, list<int>>  $left
     */
    private function split(HostedSeries $series, array $accounts, Occupancy $on, array &$split, array &$left): void
    {
        foreach ($series->sessions as [$start, $end]) {
            $one = new HostedSeries($series->series, [[$start, $end]], $series->people);
            // The account of the session before, where it can be: fewest changes within the series.
            $before = $split[$series->series] ?? [];
            $id = $on->roomFirstOn($before === [] ? null : end($before), $one, $accounts);
            if ($id === null) {
                $left[$series->series][] = $start;
            } else {
                $split[$series->series][$start] = $id;
                $on->put($one, $id);
            }
        }
    }

    /**
     * How many sessions of others run at the same time as each series' own, counted from two sorted lists: of the
     * sessions that overlap [start, end) all begin before its end, and have not ended by its start.
     *
     * @param  list<HostedSeries>  $of
     * @return array<int, int> by series
     */
    private function inTheWay(array $of): array
    {
        $starts = $ends = [];
        foreach ($of === [] ? [] : $this->running as $series) {
            foreach ($series->sessions as [$start, $end]) {
                $starts[] = $start;
                $ends[] = $end;
            }
        }
        sort($starts);
        sort($ends);
        $out = [];
        foreach ($of as $series) {
            $out[$series->series] = 0;
            foreach ($series->sessions as [$start, $end]) {
                $out[$series->series] += self::below($starts, $end) - self::below($ends, $start + 1) - 1;
            }
        }

        return $out;
    }

    /**
     * How many of a sorted list are less than a number.
     *
     * @param  list<int>  $sorted
     */
    private static function below(array $sorted, int $than): int
    {
        $low = 0;
        $high = count($sorted);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($sorted[$middle] < $than) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }
}
