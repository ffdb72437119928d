<?php

declare(strict_types=1);

namespace Nomada\Bench;

use Nomada\Core\Timetable\FreeTime;
use Nomada\Core\Timetable\FreeTimes as Search;
use Nomada\Core\Timetable\Meeting;
use Tests\Support\English;

/**
 * Free times for one series of 36 sessions in the large invented school, beside asking every session of every neighbour
 * again for each candidate, as the rules read word for word. Both must rank the same time first.
 */
final class FreeTimes
{
    public function run(): bool
    {
        $school = new LargeSchool();
        $meetings = $school->meetings();
        $rosters = $school->rosters();
        $series = $meetings[0];
        [$teachers, $students] = $this->busy($series, $meetings, $rosters);
        $days = array_map(fn (array $s): int => $s[0], $series->sessions);
        $minutes = $series->latest - $series->earliest;
        $ours = [];
        $best = null;
        for ($round = 0; $round < 5; $round++) {
            $at = hrtime(true);
            $best =
                (new Search($school->term, $teachers, $students))->forSeries(
                    $days,
                    $series->earliest,
                    $minutes,
                )[0] ?? null;
            $ours[] = (hrtime(true) - $at) / 1e6;
        }
        $at = hrtime(true);
        $rank = $this->wordForWord($school, $days, $series->earliest, $minutes, $teachers, $students);
        $peer = (hrtime(true) - $at) / 1e6;
        sort($ours);
        printf(
            "free-times: a series of %d sessions among %d series, same first answer: %s (%s)\n",
            count($days),
            count($meetings),
            $best?->rank() === $rank ? 'yes' : 'NO',
            $best instanceof FreeTime ? English::said($best->when()).', '.English::said($best->cost()) : 'none',
        );
        printf(
            "  ours %.0f ms (median of 5), word for word %.0f ms: %.1f times as fast\n",
            $ours[2],
            $peer,
            $peer / $ours[2],
        );

        return $best?->rank() === $rank && $ours[2] <= 300;
    }

    /**
     * @param  list<Meeting>  $meetings
     * @param  array<int, list<\Nomada\Core\Timetable\Attendee>>  $rosters
     * @return array{array<int, list<array{int, int}>>, array<int, list<array{int, int, int}>>}
     */
    private function busy(Meeting $series, array $meetings, array $rosters): array
    {
        $own = [];
        foreach ($rosters[$series->section] ?? [] as $a) {
            $own[$a->isTeacher ? 't' : 's'][$a->person] = true;
        }
        $teachers = $students = [];
        foreach ($meetings as $m) {
            if ($m->series === $series->series) {
                continue;
            }
            $shared = 0;
            $taught = false;
            foreach ($rosters[$m->section] ?? [] as $a) {
                $taught = $taught || ($a->isTeacher && isset($own['t'][$a->person]));
                $shared += ! $a->isTeacher && isset($own['s'][$a->person]) ? 1 : 0;
            }
            foreach ($m->sessions as [$day, $start, $end]) {
                if ($taught) {
                    $teachers[$day][] = [$start, $end];
                }
                if ($shared > 0) {
                    $students[$day][] = [$start, $end, $shared];
                }
            }
        }

        return [$teachers, $students];
    }

    /**
     * @param  list<int>  $days
     * @param  array<int, list<array{int, int}>>  $teachers
     * @param  array<int, list<array{int, int, int}>>  $students
     * @return list<int>|null
     */
    private function wordForWord(
        LargeSchool $school,
        array $days,
        int $minute,
        int $minutes,
        array $teachers,
        array $students,
    ): ?array {
        $best = null;
        $weekdays = $days === [] ? [1] : array_map(\Nomada\Core\Term\LocalDate::weekdayOf(...), $days);
        for ($shift = 1 - min($weekdays); $shift <= 5 - max($weekdays); $shift++) {
            for ($start = 480; $start + $minutes <= 1080; $start += 5) {
                if ($shift === 0 && $start === $minute) {
                    continue;
                }
                $hard = $soft = $advice = 0;
                foreach ($days as $day) {
                    if (! $school->term->isOpen($day + $shift)) {
                        $hard++;

                        continue;
                    }
                    $from = $school->term->zone->instant($day + $shift, $start);
                    $to = $from + $minutes * 60;
                    $met = fn (int $pause): bool => array_filter(
                        $teachers[$day + $shift] ?? [],
                        fn (array $t): bool => $t[0] < $to + $pause && $t[1] > $from - $pause,
                    ) !== [];
                    $hard += $met(0) ? 1 : 0;
                    $advice += ! $met(0) && $met(300) ? 1 : 0;
                    [$opens, $closes] = $school->term->hoursOn($day + $shift);
                    $advice += $start < $opens || $start + $minutes > $closes ? 1 : 0;
                    $soft += array_sum(
                        array_map(
                            fn (array $s): int => $s[0] < $to && $s[1] > $from ? $s[2] : 0,
                            $students[$day + $shift] ?? [],
                        ),
                    );
                }
                $rank = [$hard, $soft, 0, $advice, abs($shift) * 1440 + abs($start - $minute)];
                $best = $best === null || $rank < $best ? $rank : $best;
            }
        }

        return $best;
    }
}
