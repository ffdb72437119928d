<?php

declare(strict_types=1);

namespace Nomada\Bench;

use Nomada\Core\Recording\Cue;
use Nomada\Core\Recording\Parts;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * 600 transcripts of 60 minutes into parts, beside the plain way over the same places: from each place back to every
 * other that lies the right way behind it.
 */
final class Transcripts
{
    private const MS = 3_600_000;

    public function run(): bool
    {
        $random = new Randomizer(new Mt19937(7302));
        $all = [];
        for ($n = 0; $n < 600; $n++) {
            $all[] = $this->transcript($random);
        }
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $at = hrtime(true);
        $ours = array_map(fn (array $cues): array => Parts::of($cues, self::MS), $all);
        $time = (hrtime(true) - $at) / 1e6;
        $memory = memory_get_peak_usage() - $before;
        $at = hrtime(true);
        $isNoWorse = true;
        foreach (array_slice($all, 0, 60) as $i => $cues) {
            $isNoWorse = $isNoWorse && count($ours[$i]) <= $this->plain($cues);
        }
        $plain = (10 * (hrtime(true) - $at)) / 1e6;
        printf(
            "parts: 600 transcripts, %d cues, never more parts than the plain way: %s\n",
            array_sum(array_map(count(...), $all)),
            $isNoWorse ? 'yes' : 'NO',
        );
        printf(
            "  ours %.0f ms, the plain way %.0f ms (of 60, times ten): %.1f times as fast; %.0f MB\n",
            $time,
            $plain,
            $plain / $time,
            $memory / 1e6,
        );

        return $isNoWorse && $time <= 5000;
    }

    /** @return list<Cue> */
    private function transcript(Randomizer $random): array
    {
        $cues = [];
        $at = 0;
        while ($at < self::MS - 10_000) {
            $to = $at + $random->getInt(1500, 9000);
            $cues[] = new Cue($at, $to, 'said');
            $at = $to + ($random->getInt(1, 12) === 1 ? $random->getInt(2000, 15000) : $random->getInt(0, 900));
        }

        return $cues;
    }

    /**
     * The fewest parts by looking from each place at all before it.
     *
     * @param  list<Cue>  $cues
     */
    private function plain(array $cues): int
    {
        $best = [0 => 0];
        foreach ($cues as $cue) {
            foreach ($best as $from => $n) {
                $size = $cue->to - $from;
                if ($size >= Parts::LEAST && $size <= Parts::MOST && $n + 1 < ($best[$cue->to] ?? PHP_INT_MAX)) {
                    $best[$cue->to] = $n + 1;
                }
            }
        }
        $least = PHP_INT_MAX;
        foreach ($best as $from => $n) {
            $rest = self::MS - $from;
            if ($rest >= Parts::LEAST && $rest <= Parts::MOST) {
                $least = min($least, $n + 1);
            }
        }

        return $least;
    }
}
