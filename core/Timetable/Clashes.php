<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Term\Zone;

/**
 * Finds every clash of a term's series.
 *
 * Two sessions clash where their times overlap (touching ends do not) and they share a teacher or a student who is enrolled on that day.
 * Only pairs of sections that share somebody are looked at, and of those only pairs of series whose hours of the day meet at all;
 * then the two lists of sessions are walked side by side.
 */
final class Clashes
{
    /** Seconds that a teacher needs between two sessions. */
    public const TURNAROUND = 300;

    private const COMFORTABLE = [7 * 60, 20 * 60 + 30];

    /** @var array<int, list<Meeting>> by section */
    private array $bySection = [];

    /** @var array<int, list<int>> the sections of each person, as teacher and as student */
    private array $teaches = [];

    /** @var array<int, list<int>> */
    private array $studies = [];

    /**
     * @param  list<Meeting>  $meetings
     * @param  array<int, list<Attendee>>  $rosters  by section
     */
    public function __construct(array $meetings, private readonly array $rosters)
    {
        foreach ($meetings as $meeting) {
            $this->bySection[$meeting->section][] = $meeting;
        }
        foreach ($rosters as $section => $attendees) {
            foreach ($attendees as $attendee) {
                if ($attendee->isTeacher) {
                    $this->teaches[$attendee->person][] = $section;
                } else {
                    $this->studies[$attendee->person][] = $section;
                }
            }
        }
    }

    /**
     * @param  array<int, true>|null  $only  sections of which one at least must be concerned; null for all
     * @return list<Clash> in a fixed order
     */
    public function find(?array $only = null): array
    {
        $out = [...$this->overlaps($this->pairs($this->teaches, $only), true), ...$this->overlaps($this->pairs($this->studies, $only), false), ...$this->hours($only)];
        usort($out, fn (Clash $a, Clash $b): int => [array_search($a->kind, array_keys(Clash::GRAVITY), true), $a->days[0], $a->series] <=> [array_search($b->kind, array_keys(Clash::GRAVITY), true), $b->days[0], $b->series]);

        return $out;
    }

    /**
     * The pairs of sections that share somebody (a section with itself too), and who it is.
     *
     * @param  array<int, list<int>>  $sectionsOf  by person
     * @param  array<int, true>|null  $only
     * @return array<int, array<int, list<int>>> people by the smaller section, then the larger
     */
    private function pairs(array $sectionsOf, ?array $only): array
    {
        $out = [];
        foreach ($sectionsOf as $person => $sections) {
            $n = count($sections);
            for ($i = 0; $i < $n; $i++) {
                $a = $sections[$i];
                if (! isset($this->bySection[$a])) {
                    continue;
                }
                for ($j = $i; $j < $n; $j++) {
                    $b = $sections[$j];
                    if (isset($this->bySection[$b]) && ($only === null || isset($only[$a]) || isset($only[$b]))) {
                        $out[min($a, $b)][max($a, $b)][] = $person;
                    }
                }
            }
        }

        return $out;
    }

    /**
     * @param  array<int, array<int, list<int>>>  $pairs
     * @return list<Clash>
     */
    private function overlaps(array $pairs, bool $ofTeachers): array
    {
        $margin = $ofTeachers ? self::TURNAROUND : 0;
        $out = [];
        foreach ($pairs as $a => $others) {
            foreach ($others as $b => $people) {
                foreach ($this->bySection[$a] as $first) {
                    foreach ($this->bySection[$b] as $second) {
                        if (($a === $b && $first->series >= $second->series) || $first->earliest * 60 >= $second->latest * 60 + $margin || $second->earliest * 60 >= $first->latest * 60 + $margin) {
                            continue;
                        }
                        [$clash, $close] = $this->days($first, $second, $margin);
                        foreach ([[$ofTeachers ? 'teacher' : 'students', $clash], ['turnaround', $close]] as [$kind, $days]) {
                            $found = $days === [] ? null : $this->fold($kind, $first, $second, $people, $days);
                            if ($found !== null) {
                                $out[] = $found;
                            }
                        }
                    }
                }
            }
        }

        return $out;
    }

    /**
     * The days on which two series overlap, and those on which they only come closer than the margin.
     *
     * @return array{list<int>, list<int>}
     */
    private function days(Meeting $a, Meeting $b, int $margin): array
    {
        $clash = $close = [];
        $j = 0;
        $n = count($b->sessions);
        foreach ($a->sessions as [$day, $start, $end]) {
            while ($j < $n && $b->sessions[$j][2] + $margin <= $start) {
                $j++;
            }
            for ($k = $j; $k < $n && $b->sessions[$k][1] < $end + $margin; $k++) {
                if ($b->sessions[$k][1] < $end && $b->sessions[$k][2] > $start) {
                    $clash[$day] = $day;
                } else {
                    $close[$day] = $day;
                }
            }
        }

        return [array_values($clash), array_values(array_diff_key($close, $clash))];
    }

    /**
     * Leaves out the days on which nobody is in both sections, and who is in both on none.
     *
     * @param  list<int>  $people
     * @param  list<int>  $days
     */
    private function fold(string $kind, Meeting $a, Meeting $b, array $people, array $days): ?Clash
    {
        $isTeacher = $kind !== 'students';
        $there = $on = [];
        foreach ($people as $person) {
            $first = $this->part($a->section, $person, $isTeacher);
            $second = $this->part($b->section, $person, $isTeacher);
            foreach ($days as $day) {
                if ($first?->isThere($day) && $second?->isThere($day)) {
                    $there[$person] = $person;
                    $on[$day] = $day;
                }
            }
        }
        if ($on === []) {
            return null;
        }
        sort($there);
        sort($on);
        $pair = $a->series < $b->series ? [$a, $b] : [$b, $a];

        return new Clash($kind, [$pair[0]->series, $pair[1]->series], [$pair[0]->section, $pair[1]->section], $there, $on);
    }

    private function part(int $section, int $person, bool $isTeacher): ?Attendee
    {
        foreach ($this->rosters[$section] as $attendee) {
            if ($attendee->person === $person && $attendee->isTeacher === $isTeacher) {
                return $attendee;
            }
        }

        return null;
    }

    /**
     * Sessions that begin before 07:00 or after 20:30 on a student's own clock.
     *
     * @param  array<int, true>|null  $only
     * @return list<Clash>
     */
    private function hours(?array $only): array
    {
        $out = [];
        foreach ($this->bySection as $section => $meetings) {
            if ($only !== null && ! isset($only[$section])) {
                continue;
            }
            $zones = [];
            foreach ($this->rosters[$section] ?? [] as $attendee) {
                if (! $attendee->isTeacher && $attendee->zone !== '') {
                    $zones[$attendee->zone][] = $attendee;
                }
            }
            foreach ($meetings as $meeting) {
                $people = $days = [];
                foreach ($zones as $zone => $attendees) {
                    foreach ($this->uncomfortable($meeting, Zone::named((string) $zone)) as $day) {
                        foreach ($attendees as $attendee) {
                            if ($attendee->isThere($day)) {
                                $people[$attendee->person] = $attendee->person;
                                $days[$day] = $day;
                            }
                        }
                    }
                }
                if ($days !== []) {
                    sort($people);
                    sort($days);
                    $out[] = new Clash('hours', [$meeting->series], [$section], $people, $days);
                }
            }
        }

        return $out;
    }

    /** @return list<int> days */
    private function uncomfortable(Meeting $meeting, Zone $zone): array
    {
        if ($meeting->sessions === []) {
            return [];
        }
        $first = $meeting->sessions[0][0] - 1;
        $offsets = $zone->offsets($first, $meeting->sessions[count($meeting->sessions) - 1][0] + 1);
        $out = [];
        foreach ($meeting->sessions as [$day, $start]) {
            $offset = $offsets[$day] ?? $zone->offsetAt($start);
            $minute = intdiv((($start + $offset) % 86400 + 86400) % 86400, 60);
            if ($minute < self::COMFORTABLE[0] || $minute > self::COMFORTABLE[1]) {
                $out[] = $day;
            }
        }

        return $out;
    }
}
