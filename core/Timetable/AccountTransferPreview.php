<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/** What handing series to one account would make there: sessions that run beside more others than it bears. */
final readonly class AccountTransferPreview
{
    /**
     * @param  list<HostedSeries>  $running  all series of a term
     * @param  array<int>  $chosen  those that go to the account; anybody who is on it already stays
     * @return array<int, array{sessions: int, with: list<int>, fits: bool}> by chosen series: how many of its sessions
     *   clash, with which series, and whether the account's plan holds it
     */
    public static function to(HostAccount $account, array $running, array $chosen): array
    {
        $on = array_filter(
            $running,
            fn (HostedSeries $r): bool => $r->account === $account->id || in_array($r->series, $chosen, true),
        );
        $spans = [];
        foreach ($on as $one) {
            foreach ($one->sessions as [$start, $end]) {
                foreach (self::days($start, $end) as $day) {
                    $spans[$day][] = [$start, $end, $one->series];
                }
            }
        }
        $out = [];
        foreach ($on as $one) {
            if (! in_array($one->series, $chosen, true)) {
                continue;
            }
            $clashing = 0;
            $against = [];
            foreach ($one->sessions as $session) {
                $with = self::beside($session, $one->series, $spans);
                if (self::most($session, $with) >= $account->atOnce) {
                    $clashing++;
                    array_push($against, ...array_column($with, 2));
                }
            }
            $out[$one->series] = [
                'sessions' => $clashing,
                'with' => array_values(array_unique($against)),
                'fits' => $account->holds($one),
            ];
        }

        return $out;
    }

    /**
     * The sessions of others that overlap with one.
     *
     * @param  array{int, int}  $session
     * @param  array<int, list<array{int, int, int}>>  $spans  by day
     * @return list<array{int, int, int}>
     */
    private static function beside(array $session, int $series, array $spans): array
    {
        [$start, $end] = $session;
        $out = [];
        foreach (self::days($start, $end) as $day) {
            foreach ($spans[$day] ?? [] as $other) {
                if ($other[2] !== $series && $other[0] < $end && $other[1] > $start) {
                    $out["$other[0] $other[2]"] = $other;
                }
            }
        }

        return array_values($out);
    }

    /**
     * The most of the others that run at one moment of a session.
     *
     * @param  array{int, int}  $session
     * @param  list<array{int, int, int}>  $others
     */
    private static function most(array $session, array $others): int
    {
        $most = 0;
        foreach ($others as [$start]) {
            $at = max($start, $session[0]);
            $most = max($most, count(array_filter($others, fn (array $o): bool => $o[0] <= $at && $o[1] > $at)));
        }

        return $most;
    }

    /**
     * The days (UTC) that a span touches: what touches none of them overlaps with nothing of it.
     *
     * @return list<int>
     */
    private static function days(int $start, int $end): array
    {
        return range(intdiv($start, 86400), intdiv($end - 1, 86400));
    }
}
