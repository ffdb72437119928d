<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Term\Zone;

/**
 * How many sessions run at one time, how many host accounts that takes, and which series runs on which.
 *
 * The fewest accounts follow from the peak: intervals can be coloured with as many colours as run at one time (interval
 * graphs are perfect). A series that keeps one account for a whole term may need more; whoever does not fit whole is
 * split over accounts, and where that leaves sessions over although there are accounts, those that run in one stretch
 * with them change accounts for that once. Accounts of one plan that are as many as the peak leave no session over.
 */
final readonly class Licences
{
    /** Minutes of a step of the curve. */
    public const STEP = 5;

    /** @param  list<Running>  $running */
    public function __construct(private array $running)
    {
    }

    /**
     * The largest number of sessions that run at one time, and when that is first and how often.
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
     * Sessions at one time over the week: for every weekday and step, the most of any week.
     *
     * @return array<int, array<int, int>> by weekday (1 Monday), then by minute of the day; steps with none are not
     *   in it
     */
    public function curve(Zone $zone): array
    {
        $days = [];
        $all = array_merge(...array_map(fn (Running $r): array => array_column($r->sessions, 0), $this->running));
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
     * Keeps what stands where it fits; then places the rest, those first that get in the way of most; moves one that
     * stands where that makes room; and splits a series over accounts only where no account has room for the whole of
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
                    array_map(fn (Running $r): array => array_column($r->sessions, 0), $this->running),
                ),
                0,
            );
        }
        $load = [];
        $byId = [];
        foreach ($accounts as $account) {
            $byId[$account->id] = $account;
            $load[$account->id] = [];
        }
        $at = $waiting = [];
        $bySessions = $this->running;
        usort(
            $bySessions,
            fn (Running $a, Running $b): int => [-count($a->sessions), $a->series] <=> [
                -count($b->sessions),
                $b->series,
            ],
        );
        foreach ($bySessions as $series) {
            $account = $series->account === null ? null : $byId[$series->account] ?? null;
            if (
                $account !== null &&
                $account->holds($series) &&
                $this->fits($series, $account, $load[$account->id])
            ) {
                $load[$account->id] = $this->put($series, $load[$account->id]);
                $at[$series->series] = $account->id;
            } else {
                $waiting[] = $series;
            }
        }
        $byWay = $this->inTheWay($waiting);
        usort(
            $waiting,
            fn (Running $a, Running $b): int => [-$byWay[$a->series], $a->series] <=> [
                -$byWay[$b->series],
                $b->series,
            ],
        );
        $unplaced = $elsewhere = [];
        $byId = array_combine(array_column($this->running, 'series'), $this->running);
        foreach ($waiting as $series) {
            $id =
                $this->room($series, $accounts, $load) ??
                $this->makeRoom($series, $accounts, $load, $at, $byId, $elsewhere);
            if ($id === null) {
                $unplaced[] = $series;
            } else {
                $load[$id] = $this->put($series, $load[$id]);
                $at[$series->series] = $id;
            }
        }
        $split = $left = [];
        foreach ($unplaced as $series) {
            $this->split($series, $accounts, $load, $split, $left);
        }
        if ($left !== []) {
            $this->colourAnew($accounts, $at, $split, $left);
        }
        $changed = count(
            array_filter(
                $this->running,
                fn (Running $r): bool => $r->account !== null && ($at[$r->series] ?? $r->account) !== $r->account,
            ),
        );
        ksort($at);

        return new Assignment($at, $split, $left, $changed);
    }

    /**
     * @param  array<int, list<array{int, int, int}>>  $load  by day of UTC: start, end, series
     * @param  int  $but  a series that is thought away
     */
    private function fits(Running $series, HostAccount $account, array $load, int $but = 0): bool
    {
        foreach ($series->sessions as [$start, $end]) {
            $within = [];
            for ($day = intdiv($start, 86400), $last = intdiv($end - 1, 86400); $day <= $last; $day++) {
                foreach ($load[$day] ?? [] as $other) {
                    if ($other[0] < $end && $other[1] > $start && $other[2] !== $but) {
                        if ($account->atOnce === 1) {
                            return false;
                        }
                        $within["$other[0] $other[2]"] = $other;
                    }
                }
            }
            if (count($within) >= $account->atOnce && $this->most($within, $start) >= $account->atOnce) {
                return false;
            }
        }

        return true;
    }

    /**
     * The most that run at one time: counted at each start.
     *
     * @param  array<array{int, int, int}>  $within
     */
    private function most(array $within, int $start): int
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

    /**
     * @param  array<int, list<array{int, int, int}>>  $load
     * @return array<int, list<array{int, int, int}>>
     */
    private function put(Running $series, array $load): array
    {
        foreach ($series->sessions as [$start, $end]) {
            foreach ($this->days($start, $end) as $day) {
                $load[$day][] = [$start, $end, $series->series];
            }
        }

        return $load;
    }

    /** @return list<int> the days of UTC that a span touches */
    private function days(int $start, int $end): array
    {
        return range(intdiv($start, 86400), intdiv($end - 1, 86400));
    }

    /**
     * @param  list<HostAccount>  $accounts
     * @param  array<int, array<int, list<array{int, int, int}>>>  $load
     */
    private function room(Running $series, array $accounts, array $load): ?int
    {
        foreach ($accounts as $account) {
            if ($account->holds($series) && $this->fits($series, $account, $load[$account->id])) {
                return $account->id;
            }
        }

        return null;
    }

    /**
     * Moves one series that is in the way to another account, where that makes room.
     *
     * @param  list<HostAccount>  $accounts
     * @param  array<int, array<int, list<array{int, int, int}>>>  $load
     * @param  array<int, int>  $at
     * @param  array<int, Running>  $byId
     * @param  array<string, int|null>  $elsewhere  where each series could go from its account, as long as nothing
     *   has moved
     */
    private function makeRoom(
        Running $series,
        array $accounts,
        array &$load,
        array &$at,
        array $byId,
        array &$elsewhere,
    ): ?int {
        foreach ($accounts as $account) {
            if (! $account->holds($series)) {
                continue;
            }
            foreach ($this->against($series, $load[$account->id]) as $other) {
                if (! $this->fits($series, $account, $load[$account->id], $other)) {
                    continue;
                }
                $key = "$other $account->id";
                if (! array_key_exists($key, $elsewhere)) {
                    $elsewhere[$key] = $this->room(
                        $byId[$other],
                        array_values(array_filter($accounts, fn (HostAccount $a): bool => $a->id !== $account->id)),
                        $load,
                    );
                }
                $to = $elsewhere[$key];
                if ($to !== null) {
                    $load[$account->id] = array_map(
                        fn (array $day): array => array_values(
                            array_filter($day, fn (array $s): bool => $s[2] !== $other),
                        ),
                        $load[$account->id],
                    );
                    $load[$to] = $this->put($byId[$other], $load[$to]);
                    $at[$other] = $to;
                    $elsewhere = [];

                    return $account->id;
                }
            }
        }

        return null;
    }

    /**
     * The series that stand against one on an account, where they are few: moving one of many helps nobody.
     *
     * @param  array<int, list<array{int, int, int}>>  $load
     * @return list<int>
     */
    private function against(Running $series, array $load): array
    {
        $out = [];
        foreach ($series->sessions as [$start, $end]) {
            for ($day = intdiv($start, 86400), $last = intdiv($end - 1, 86400); $day <= $last; $day++) {
                foreach ($load[$day] ?? [] as $other) {
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
     * @param  list<HostAccount>  $accounts
     * @param  array<int, array<int, list<array{int, int, int}>>>  $load
     * @param  array<int, array<int, int>>  $split
     * @param  array<int, list<int>>  $left
     */
    private function split(Running $series, array $accounts, array &$load, array &$split, array &$left): void
    {
        foreach ($series->sessions as [$start, $end]) {
            $one = new Running($series->series, [[$start, $end]], $series->people);
            // The account of the session before, where it can be: fewest changes within the series.
            $before = $split[$series->series] ?? [];
            $last = $before === [] ? null : end($before);
            $id =
                $this->room(
                    $one,
                    array_values(array_filter($accounts, fn (HostAccount $a): bool => $a->id === $last)),
                    $load,
                ) ?? $this->room($one, $accounts, $load);
            if ($id === null) {
                $left[$series->series][] = $start;
            } else {
                $split[$series->series][$start] = $id;
                $load[$id] = $this->put($one, $load[$id]);
            }
        }
    }

    /**
     * Where sessions are left over: colours each stretch of overlapping sessions that one of them is in from its start,
     * which leaves none over where there are as many places as run at one time. A stretch that this does not help
     * stays as it is; a series' other sessions stay where they are.
     *
     * @param  list<HostAccount>  $accounts
     * @param  array<int, int>  $at
     * @param  array<int, array<int, int>>  $split
     * @param  array<int, list<int>>  $left
     */
    private function colourAnew(array $accounts, array &$at, array &$split, array &$left): void
    {
        // The tightest plan first: what fits anywhere leaves the large ones to what needs them.
        usort(
            $accounts,
            fn (HostAccount $a, HostAccount $b): int => [$a->seats, $a->minutes, $a->id] <=> [
                $b->seats,
                $b->minutes,
                $b->id,
            ],
        );
        foreach ($this->stretches() as $stretch) {
            $over = array_filter(
                $stretch,
                fn (Running $one): bool => in_array($one->sessions[0][0], $left[$one->series] ?? [], true),
            );
            if ($over === []) {
                continue;
            }
            // Everybody where they stand, if they can; else the tightest for each, which leaves room for the large.
            $kept = $this->coloured($stretch, $accounts, $at, $split);
            $tight = count($kept) < count($stretch) ? $this->coloured($stretch, $accounts, [], []) : [];
            $coloured = count($tight) > count($kept) ? $tight : $kept;
            if (count($stretch) - count($coloured) >= count($over)) {
                continue;
            }
            foreach ($stretch as $i => $one) {
                $this->settle($one, $coloured[$i] ?? null, $at, $split, $left);
            }
        }
    }

    /**
     * The sessions of all series, one by one, in stretches: those of different ones never run at one time.
     *
     * @return list<list<Running>> by start, each of one session
     */
    private function stretches(): array
    {
        $all = [];
        foreach ($this->running as $series) {
            foreach ($series->sessions as $session) {
                $all[] = new Running($series->series, [$session], $series->people);
            }
        }
        usort($all, fn (Running $a, Running $b): int => $a->sessions[0] <=> $b->sessions[0]);
        $out = [];
        $until = 0;
        foreach ($all as $one) {
            [$start, $end] = $one->sessions[0];
            if ($start >= $until) {
                $out[] = [];
            }
            $out[array_key_last($out)][] = $one;
            $until = max($until, $end);
        }

        return array_map(array_values(...), $out);
    }

    /**
     * Each session of a stretch in turn on an account that has a place then: its own if it can, else the tightest.
     *
     * @param  list<Running>  $stretch
     * @param  list<HostAccount>  $accounts
     * @param  array<int, int>  $at
     * @param  array<int, array<int, int>>  $split
     * @return array<int, int> the account by the session's place in the stretch; those for which there is none left out
     */
    private function coloured(array $stretch, array $accounts, array $at, array $split): array
    {
        $load = array_fill_keys(array_column($accounts, 'id'), []);
        $out = [];
        foreach ($stretch as $i => $one) {
            $own = $split[$one->series][$one->sessions[0][0]] ?? ($at[$one->series] ?? null);
            $id =
                $this->room(
                    $one,
                    array_values(array_filter($accounts, fn (HostAccount $a): bool => $a->id === $own)),
                    $load,
                ) ?? $this->room($one, $accounts, $load);
            if ($id !== null) {
                $load[$id] = $this->put($one, $load[$id]);
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
    private function settle(Running $one, ?int $account, array &$at, array &$split, array &$left): void
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

    /**
     * How many sessions of others run at the same time as each series' own, counted from two sorted lists: of the
     * sessions that overlap [start, end) all begin before its end, and have not ended by its start.
     *
     * @param  list<Running>  $of
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
