<?php

declare(strict_types=1);

namespace Nomada\Core\Recording;

/**
 * Cuts a recording into parts at pauses of its transcript: none under five minutes (but a whole short one), none over
 * twenty, none inside a cue; the fewest parts, and of those the ones with the longest pauses between them.
 *
 * A pause is the time between two cues in which nobody speaks; where two cues touch it is one of no length. Where it
 * cannot be done, short parts are allowed; a cue of more than twenty minutes is a part on its own, since a cue is never
 * cut.
 */
final class Parts
{
    public const LEAST = 300_000;

    public const MOST = 1_200_000;

    /** Milliseconds between two places at which a long pause can be cut. */
    private const STEP = 15_000;

    /**
     * @param  list<Cue>  $cues  in any order
     * @param  int  $length  milliseconds of the whole; where the transcript goes on for longer, that counts
     * @return list<array{int, int}> from and to, in milliseconds, without a hole
     */
    public static function of(array $cues, int $length): array
    {
        $spoken = self::spoken($cues);
        $length = max($length, $spoken === [] ? 0 : $spoken[count($spoken) - 1][1]);
        if ($length <= self::MOST) {
            return $length === 0 ? [] : [[0, $length]];
        }
        $out = [];
        $places = self::places($spoken, $length);
        foreach (self::stretches($spoken, $length) as [$from, $to]) {
            $within = [];
            foreach ($places as [$at, $worth]) {
                if ($at > $from && $at < $to) {
                    $within[] = [$at - $from, $worth];
                }
            }
            $cuts =
                $to - $from <= self::MOST
                    ? []
                    : self::cuts($within, $to - $from, self::LEAST) ?? (self::cuts($within, $to - $from, 1) ?? []);
            $begin = $from;
            foreach ([...$cuts, $to - $from] as $cut) {
                $out[] = [$begin, $from + $cut];
                $begin = $from + $cut;
            }
        }

        return $out;
    }

    /**
     * The whole, but for what is spoken without a pause for longer than a part may last: that is a part on its own,
     * together with what before and behind it would be too short for one.
     *
     * @param  list<array{int, int}>  $spoken
     * @return list<array{int, int}>
     */
    private static function stretches(array $spoken, int $length): array
    {
        $out = [];
        $begin = 0;
        foreach ($spoken as [$from, $to]) {
            if ($to - $from > self::MOST) {
                $from = $from - $begin < self::LEAST ? $begin : $from;
                $to = $length - $to < self::LEAST ? $length : $to;
                if ($from > $begin) {
                    $out[] = [$begin, $from];
                }
                $out[] = [$from, $to];
                $begin = $to;
            }
        }
        if ($begin < $length) {
            $out[] = [$begin, $length];
        }

        return $out;
    }

    /**
     * When somebody speaks: cues that lie over each other are one.
     *
     * @param  list<Cue>  $cues
     * @return list<array{int, int}>
     */
    private static function spoken(array $cues): array
    {
        if (! self::isSorted($cues)) {
            usort($cues, fn (Cue $a, Cue $b): int => [$a->from, $a->to] <=> [$b->from, $b->to]);
        }
        $out = [];
        $open = null;
        foreach ($cues as $cue) {
            if ($open !== null && $cue->from < $open[1]) {
                $open = [$open[0], max($open[1], $cue->to)];

                continue;
            }
            if ($open !== null) {
                $out[] = $open;
            }
            $open = [$cue->from, $cue->to];
        }

        return $open === null ? $out : [...$out, $open];
    }

    /** @param  list<Cue>  $cues */
    private static function isSorted(array $cues): bool
    {
        $before = 0;
        foreach ($cues as $cue) {
            if ($cue->from < $before) {
                return false;
            }
            $before = $cue->from;
        }

        return true;
    }

    /**
     * Where it can be cut, ascending, and how long the pause is there. In the middle of a pause by preference.
     *
     * @param  list<array{int, int}>  $spoken
     * @return list<array{int, int}> milliseconds, and what a cut there is worth
     */
    private static function places(array $spoken, int $length): array
    {
        $out = [];
        $end = 0;
        foreach ([...$spoken, [$length, $length]] as [$from, $to]) {
            $pause = $from - $end;
            $middle = $end + intdiv($pause, 2);
            foreach ($pause > self::STEP ? self::within($end, $middle, $from) : [$end, $middle, $from] as $place) {
                // The same place twice is found where a pause is very short.
                if ($place > 0 && $place < $length && $place !== ($last ?? null)) {
                    $out[] = [$place, 2 * $pause + ($place === $middle ? 1 : 0)];
                    $last = $place;
                }
            }
            $end = $to;
        }

        return $out;
    }

    /** @return list<int> places in a long pause, ascending */
    private static function within(int $end, int $middle, int $from): array
    {
        $out = [...range($end, $from, self::STEP), $middle, $from];
        sort($out);

        return $out;
    }

    /**
     * One cut more at a time, until the rest is short enough: for each place the best way to it with so many cuts,
     * found in one walk with the best of the places that lie the right way behind it kept in front of a queue.
     *
     * @param  list<array{int, int}>  $places
     * @return list<int>|null null where there is no way
     */
    private static function cuts(array $places, int $length, int $least): ?array
    {
        $most = self::MOST;
        $n = count($places);
        // Of each place: what the best way to it is worth, and by which place it came.
        $best = [];
        foreach ($places as $i => [$at, $worth]) {
            if ($at >= $least && $at <= $most) {
                $best[$i] = $worth;
            }
        }
        $cameBy = [[]];
        while ($best !== []) {
            $last = self::lastCut($best, $places, $length, $least);
            if ($last !== null) {
                return self::back($last, $cameBy, $places);
            }
            $next = [];
            $from = [];
            $queue = [];
            $head = 0;
            $seen = 0;
            for ($j = 0; $j < $n; $j++) {
                while ($seen < $j && $places[$seen][0] <= $places[$j][0] - $least) {
                    if (isset($best[$seen])) {
                        while (count($queue) > $head && $best[$queue[count($queue) - 1]] < $best[$seen]) {
                            array_pop($queue);
                        }
                        $queue[] = $seen;
                    }
                    $seen++;
                }
                while ($head < count($queue) && $places[$queue[$head]][0] < $places[$j][0] - $most) {
                    $head++;
                }
                if ($head < count($queue)) {
                    $next[$j] = $best[$queue[$head]] + $places[$j][1];
                    $from[$j] = $queue[$head];
                }
            }
            $cameBy[] = $from;
            $best = $next;
        }

        return null;
    }

    /**
     * The best place for the last cut, where the rest is short enough by then.
     *
     * @param  array<int, int>  $best
     * @param  list<array{int, int}>  $places
     */
    private static function lastCut(array $best, array $places, int $length, int $least): ?int
    {
        $found = null;
        foreach ($best as $i => $worth) {
            $rest = $length - $places[$i][0];
            if ($rest >= $least && $rest <= self::MOST && ($found === null || $worth > $best[$found])) {
                $found = $i;
            }
        }

        return $found;
    }

    /**
     * @param  list<array<int, int>>  $cameBy  for each number of cuts
     * @param  list<array{int, int}>  $places
     * @return list<int>
     */
    private static function back(int $last, array $cameBy, array $places): array
    {
        $out = [$places[$last][0]];
        for ($k = count($cameBy) - 1; $k > 0; $k--) {
            $last = $cameBy[$k][$last];
            $out[] = $places[$last][0];
        }

        return array_reverse($out);
    }
}
