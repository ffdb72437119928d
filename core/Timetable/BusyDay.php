<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/** A day parted into spans in which everybody is free, some students are elsewhere, or a teacher is. */
final class BusyDay
{
    /**
     * @param  list<array{int, int}>  $teachers  from and to, in minutes from midnight
     * @param  list<array{int, int, int}>  $students  from, to, and how many
     * @return list<array{int, int, string, int}> from, to, `free`, `students` or `teacher`, and how many students;
     *   they follow each other over the whole day
     */
    public static function spans(array $teachers, array $students): array
    {
        $edges = [0, 1440];
        foreach ([...$teachers, ...$students] as $one) {
            $edges[] = max(0, min(1440, $one[0]));
            $edges[] = max(0, min(1440, $one[1]));
        }
        $edges = array_values(array_unique($edges));
        sort($edges);
        $out = [];
        for ($i = 1, $n = count($edges); $i < $n; $i++) {
            [$from, $to] = [$edges[$i - 1], $edges[$i]];
            $isTaught = array_filter($teachers, fn (array $t): bool => $t[0] < $to && $t[1] > $from) !== [];
            $many = array_sum(array_map(fn (array $s): int => $s[0] < $to && $s[1] > $from ? $s[2] : 0, $students));
            $is = $isTaught ? 'teacher' : ($many > 0 ? 'students' : 'free');
            $before = end($out);
            if ($before !== false && $before[2] === $is && $before[3] === $many) {
                array_pop($out);
                $from = $before[0];
            }
            $out[] = [$from, $to, $is, $many];
        }

        return $out;
    }
}
