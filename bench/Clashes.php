<?php

declare(strict_types=1);

namespace Nomada\Bench;

use Nomada\Core\Timetable\Clash;
use Nomada\Core\Timetable\Clashes as Search;
use Nomada\Core\Timetable\HostAccount;

/**
 * All clashes of teachers, students and host accounts over the term of the large invented school (600 sections, 9,000
 * students), in core/ and as a range-overlap join that PostgreSQL answers over the same rows with the indexes that help
 * it. Both must find the same pairs.
 */
final class Clashes
{
    public function run(): bool
    {
        $school = new LargeSchool();
        $meetings = $school->meetings(240);
        $accounts = [];
        for ($id = 1; $id <= 240; $id++) {
            $accounts[$id] = new HostAccount($id, "Host $id", 1000, 720);
        }
        $rosters = $school->rosters();
        $school->fill($meetings, $rosters);
        $ours = $peer = [];
        $memory = 0;
        $found = $theirs = [];
        for ($round = 0; $round < 3; $round++) {
            memory_reset_peak_usage();
            $before = memory_get_usage();
            $at = hrtime(true);
            $found = (new Search($meetings, $rosters, $accounts))->find();
            $ours[] = (hrtime(true) - $at) / 1e6;
            $memory = max($memory, memory_get_peak_usage() - $before);
            $at = hrtime(true);
            $theirs = $school->overlaps();
            $peer[] = (hrtime(true) - $at) / 1e6;
        }
        sort($ours);
        sort($peer);
        $mine = array_values(
            array_map(
                fn (Clash $c): string => $c->kind.' '.implode(' ', $c->series),
                array_filter($found, fn (Clash $c): bool => $c->gravity() !== 'advice'),
            ),
        );
        sort($mine);
        sort($theirs);
        printf(
            "clashes: %d series, %d sections, %d clashing pairs, same as the peer: %s\n",
            count($meetings),
            count($rosters),
            count($mine),
            $mine === $theirs ? 'yes' : 'NO, '.count($theirs),
        );
        printf(
            '  ours %.0f ms (with the advice, which the peer does not look for), PostgreSQL range-overlap join %.0f '.
                "ms (medians of 3): %.1f times as fast; ours takes %.0f MB at its peak\n",
            $ours[1],
            $peer[1],
            $peer[1] / $ours[1],
            $memory / 1048576,
        );

        return $mine === $theirs && $peer[1] >= $ours[1] && $memory < 256 * 1048576;
    }
}
