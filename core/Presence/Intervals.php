<?php

declare(strict_types=1);

namespace Nomada\Core\Presence;

/**
 * When somebody was inside, out of what was told of it in any order, some of it missing or doubled.
 *
 * Each device is followed on its own, and the devices are then laid over each other:
 * - a second join without a leave between them, or a second leave, is a doubled one and says nothing;
 * - a leave that comes first lost its join: they were inside from the start;
 * - a join that comes last lost its leave: they were inside until the end;
 * - a join and a leave in one second leave a device as it was, also where nobody knows yet how that is;
 * - a leave of which nobody knows the device closes all of them.
 */
final class Intervals
{
    /**
     * @param  list<PresenceEvent>  $told  of one person
     * @param  int  $from  UTC seconds of the session's start; $to its end. What lies beyond is cut off
     * @return list<array{int, int}> ascending, none empty, none touching another
     */
    public static function of(array $told, int $from, int $to): array
    {
        $devices = [];
        foreach ($told as $one) {
            $devices[$one->device][$one->at] = ($devices[$one->device][$one->at] ?? 0) | ($one->isJoin ? 1 : 2);
        }
        // What is told without a device closes what is told with one.
        if (isset($devices['']) && count($devices) > 1) {
            $devices = self::closed($devices);
        }
        $found = [];
        foreach ($devices as $steps) {
            foreach (self::ofDevice($steps, $from, $to) as $interval) {
                $found[] = $interval;
            }
        }

        return count($devices) < 2 ? $found : self::merged($found);
    }

    /**
     * When somebody was there before the start, which counts for nothing and tells who waited. Of that only what was
     * told: who lost their join was not there early.
     *
     * @param  list<PresenceEvent>  $told  of one person
     * @param  int  $from  UTC seconds before which nothing is looked at; $start the session's
     * @return list<array{int, int}> ascending
     */
    public static function early(array $told, int $from, int $start): array
    {
        $early = array_values(array_filter($told, fn (PresenceEvent $c): bool => $c->at < $start));
        usort(
            $early,
            fn (PresenceEvent $a, PresenceEvent $b): int => [$a->at, ! $a->isJoin] <=> [$b->at, ! $b->isJoin],
        );
        while ($early !== [] && ! $early[0]->isJoin) {
            array_shift($early);
        }

        return self::of($early, $from, $start);
    }

    /**
     * @param  array<int, int>  $steps  by second: 1 a join, 2 a leave, 3 both
     * @return list<array{int, int}>
     */
    private static function ofDevice(array $steps, int $from, int $to): array
    {
        ksort($steps);
        $out = [];
        $since = null;
        $isFirst = true;
        foreach ($steps as $at => $what) {
            if ($what === 1) {
                $since ??= $at;
            } elseif ($what === 2) {
                if ($since !== null || $isFirst) {
                    self::keep($out, $since ?? $from, $at, $from, $to);
                }
                $since = null;
            }
            $isFirst = $isFirst && $what === 3;
        }
        if ($since !== null) {
            self::keep($out, $since, $to, $from, $to);
        }

        return $out;
    }

    /**
     * A leave of an unknown device is one of every device that has something before it, an unknown one among them.
     *
     * @param  array<string, array<int, int>>  $devices
     * @return array<string, array<int, int>>
     */
    private static function closed(array $devices): array
    {
        $first = [];
        foreach ($devices as $device => $steps) {
            if ($device !== '') {
                ksort($steps);
                $first[$device] = (int) array_key_first($steps);
            }
        }
        ksort($devices['']);
        $unknown = (int) array_key_first($devices['']);
        foreach ($devices[''] as $at => $what) {
            if ($what !== 2) {
                continue;
            }
            foreach ($first as $device => $begun) {
                if ($begun < $at) {
                    $devices[$device][$at] ??= 2;
                    if ($unknown === $at) {
                        unset($devices[''][$at]);
                    }
                }
            }
        }

        return array_filter($devices, fn (array $steps): bool => $steps !== []);
    }

    /** @param  list<array{int, int}>  $out */
    private static function keep(array &$out, int $since, int $until, int $from, int $to): void
    {
        $since = max($since, $from);
        $until = min($until, $to);
        if ($until <= $since) {
            return;
        }
        $last = count($out) - 1;
        if ($last >= 0 && $out[$last][1] >= $since) {
            $out[$last] = [$out[$last][0], max($out[$last][1], $until)];
        } else {
            $out[] = [$since, $until];
        }
    }

    /**
     * @param  list<array{int, int}>  $intervals
     * @return list<array{int, int}>
     */
    private static function merged(array $intervals): array
    {
        sort($intervals);
        $out = [];
        foreach ($intervals as [$since, $until]) {
            self::keep($out, $since, $until, $since, $until);
        }

        return $out;
    }
}
