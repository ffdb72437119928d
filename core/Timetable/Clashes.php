<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;

/**
 * Finds every clash of a term's series.
 *
 * Two sessions clash where their times overlap (touching ends do not) and they share a teacher or a student who is
 * enrolled on that day. Only pairs of rosters that share somebody are looked at, and of those only pairs of series
 * whose hours of the day meet at all; then the two lists of sessions are walked side by side.
 */
final class Clashes
{
    /** Seconds that a teacher needs between two sessions. */
    public const TURNAROUND = 300;

    private const COMFORTABLE = [7 * 60, 20 * 60 + 30];

    /** @var array<int, list<Meeting>> by roster */
    private array $byRoster = [];

    /** @var array<int, list<int>> the rosters of each person, as teacher and as student */
    private array $teaches = [];

    /** @var array<int, list<int>> */
    private array $studies = [];

    /**
     * @param  list<Meeting>  $meetings
     * @param  array<int, list<Attendee>>  $rosters  by their keys, of which a section's own is its id
     * @param  array<int, HostAccount>  $accounts  by id
     * @param  Term|null  $term  for its open hours; they are not looked at where null
     */
    public function __construct(
        private readonly array $meetings,
        private readonly array $rosters,
        private readonly array $accounts = [],
        private readonly ?Term $term = null,
    ) {
        foreach ($meetings as $meeting) {
            $this->byRoster[$meeting->roster][] = $meeting;
        }
        foreach ($rosters as $roster => $attendees) {
            foreach ($attendees as $attendee) {
                if ($attendee->isTeacher) {
                    $this->teaches[$attendee->person][] = $roster;
                } else {
                    $this->studies[$attendee->person][] = $roster;
                }
            }
        }
    }

    /**
     * @param  array<int, true>|null  $only  rosters of which one at least must be concerned; null for all
     * @return list<Clash> in a fixed order
     */
    public function find(?array $only = null): array
    {
        $out = [
            ...$this->overlaps($this->pairs($this->teaches, $only), true),
            ...$this->overlaps($this->pairs($this->studies, $only), false),
            ...$this->hours($only),
            ...$this->outside($only),
            ...$this->hosting($only),
        ];
        $out = self::merged($out);
        usort(
            $out,
            fn (Clash $a, Clash $b): int => [
                array_search($a->kind, array_keys(Clash::GRAVITY), true),
                $a->days[0],
                $a->series,
            ] <=> [array_search($b->kind, array_keys(Clash::GRAVITY), true), $b->days[0], $b->series],
        );

        return $out;
    }

    /**
     * The pairs of rosters that share somebody (a roster with itself too), and who it is.
     *
     * @param  array<int, list<int>>  $rostersOf  by person
     * @param  array<int, true>|null  $only
     * @return array<int, array<int, list<int>>> people by the smaller key, then the larger
     */
    private function pairs(array $rostersOf, ?array $only): array
    {
        $out = [];
        foreach ($rostersOf as $person => $rosters) {
            $n = count($rosters);
            for ($i = 0; $i < $n; $i++) {
                $a = $rosters[$i];
                if (! isset($this->byRoster[$a])) {
                    continue;
                }
                for ($j = $i; $j < $n; $j++) {
                    $b = $rosters[$j];
                    if (isset($this->byRoster[$b]) && ($only === null || isset($only[$a]) || isset($only[$b]))) {
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
                foreach ($this->byRoster[$a] as $first) {
                    foreach ($this->byRoster[$b] as $second) {
                        if (
                            $first->series === $second->series ||
                            ($a === $b && $first->series > $second->series) ||
                            $first->earliest * 60 >= $second->latest * 60 + $margin ||
                            $second->earliest * 60 >= $first->latest * 60 + $margin
                        ) {
                            continue;
                        }
                        [$clash, $close] = $this->days($first, $second, $margin);
                        foreach (
                            [[$ofTeachers ? 'teacher' : 'students', $clash], ['turnaround', $close]] as [$kind, $days]
                        ) {
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
            $first = $this->part($a->roster, $person, $isTeacher);
            $second = $this->part($b->roster, $person, $isTeacher);
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

        return new Clash(
            $kind,
            [$pair[0]->series, $pair[1]->series],
            [$pair[0]->section, $pair[1]->section],
            $there,
            $on,
        );
    }

    private function part(int $roster, int $person, bool $isTeacher): ?Attendee
    {
        foreach ($this->rosters[$roster] as $attendee) {
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
        foreach ($this->byRoster as $roster => $meetings) {
            if ($only !== null && ! isset($only[$roster])) {
                continue;
            }
            $zones = [];
            foreach ($this->rosters[$roster] ?? [] as $attendee) {
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
                    $out[] = new Clash('hours', [$meeting->series], [$meeting->section], $people, $days);
                }
            }
        }

        return $out;
    }

    /**
     * Sessions outside the hours in which the school expects them; a short day ends with its last period.
     *
     * @param  array<int, true>|null  $only
     * @return list<Clash>
     */
    private function outside(?array $only): array
    {
        $out = [];
        $term = $this->term;
        if ($term === null) {
            return [];
        }
        foreach ($this->meetings as $meeting) {
            if ($only !== null && ! isset($only[$meeting->roster])) {
                continue;
            }
            $days = [];
            foreach ($meeting->sessions as [$day, $start, $end]) {
                [$opens, $closes] = $term->hoursOn($day);
                // Most meetings lie inside the hours altogether.
                if ($meeting->earliest >= $opens && $meeting->latest <= $closes) {
                    continue;
                }
                [$first, $from] = $term->zone->wall($start);
                [$last, $to] = $term->zone->wall($end - 60);
                if ($first !== $last || $from < $opens || $to + 1 > $closes) {
                    $days[$day] = $day;
                }
            }
            if ($days !== []) {
                $out[] = new Clash('outside', [$meeting->series], [$meeting->section], [], array_values($days));
            }
        }

        return $out;
    }

    /**
     * More on a host account, or in a room, than it bears at once; longer or larger than the account's plan.
     *
     * @param  array<int, true>|null  $only
     * @return list<Clash>
     */
    private function hosting(?array $only): array
    {
        $out = $accounts = $rooms = [];
        foreach ($this->meetings as $meeting) {
            if ($meeting->account !== null && isset($this->accounts[$meeting->account])) {
                $accounts[$meeting->account][] = $meeting;
                $isAsked = $only === null || isset($only[$meeting->roster]);
                $out = $isAsked ? [...$out, ...$this->beyond($meeting, $this->accounts[$meeting->account])] : $out;
            }
            if ($meeting->room !== null) {
                $rooms[$meeting->room][] = $meeting;
            }
        }
        foreach ($accounts as $id => $meetings) {
            $out = [...$out, ...$this->crowded('account', $meetings, $this->accounts[$id]->atOnce, $only)];
        }
        foreach ($rooms as $meetings) {
            $out = count($meetings) > 1 ? [...$out, ...$this->crowded('room', $meetings, 1, $only)] : $out;
        }

        return $out;
    }

    /** @return list<Clash> */
    private function beyond(Meeting $meeting, HostAccount $account): array
    {
        $long = [];
        foreach ($meeting->sessions as [$day, $start, $end]) {
            if ($end - $start > 60 * $account->minutes) {
                $long[$day] = $day;
            }
        }
        $out =
            $long === []
                ? []
                : [new Clash('long', [$meeting->series], [$meeting->section], [], array_values($long))];
        $full = $people = [];
        foreach ($meeting->sessions as [$day]) {
            $here = array_filter(
                $this->rosters[$meeting->roster] ?? [],
                fn (Attendee $a): bool => $a->isThere($day),
            );
            if (count($here) > $account->seats) {
                $full[$day] = $day;
                foreach ($here as $attendee) {
                    $people[$attendee->person] = $attendee->person;
                }
            }
        }
        sort($people);

        return $full === []
            ? $out
            : [...$out, new Clash('full', [$meeting->series], [$meeting->section], $people, array_values($full))];
    }

    /**
     * Anybody who starts when all places are taken: where there is one place, against each that runs then; where there
     * are more, against the one that has run longest.
     *
     * @param  list<Meeting>  $meetings
     * @param  array<int, true>|null  $only
     * @return list<Clash>
     */
    private function crowded(string $kind, array $meetings, int $atOnce, ?array $only): array
    {
        $sessions = [];
        foreach ($meetings as $i => $meeting) {
            foreach ($meeting->sessions as [$day, $start, $end]) {
                $sessions[] = [$start, $end, $day, $i];
            }
        }
        sort($sessions);
        $running = $days = [];
        foreach ($sessions as $session) {
            $running = array_values(array_filter($running, fn (array $r): bool => $r[1] > $session[0]));
            $others = array_values(
                array_filter(
                    $running,
                    fn (array $r): bool => $meetings[$r[3]]->series !== $meetings[$session[3]]->series,
                ),
            );
            foreach (
                count($running) < $atOnce ? [] : ($atOnce === 1 ? $others : array_slice($others, 0, 1)) as $other
            ) {
                $pair = [$other[3], $session[3]];
                usort($pair, fn (int $a, int $b): int => $meetings[$a]->series <=> $meetings[$b]->series);
                $days[implode(' ', $pair)][$session[2]] = $session[2];
            }
            $running[] = $session;
        }
        $out = [];
        foreach ($days as $pair => $on) {
            [$a, $b] = array_map(fn (string $i): Meeting => $meetings[(int) $i], explode(' ', (string) $pair));
            if ($only === null || isset($only[$a->roster]) || isset($only[$b->roster])) {
                $out[] = new Clash(
                    $kind,
                    [$a->series, $b->series],
                    [$a->section, $b->section],
                    [],
                    array_values($on),
                );
            }
        }

        return $out;
    }

    /**
     * One clash for what is between the same series: where a series has several rosters, it can be found more than
     * once.
     *
     * @param  list<Clash>  $found
     * @return list<Clash>
     */
    private static function merged(array $found): array
    {
        $out = [];
        foreach ($found as $clash) {
            $same = $out[$clash->key()] ?? null;
            if ($same === null) {
                $out[$clash->key()] = $clash;

                continue;
            }
            $people = array_values(array_unique([...$same->people, ...$clash->people]));
            $days = array_values(array_unique([...$same->days, ...$clash->days]));
            sort($people);
            sort($days);
            $out[$clash->key()] = new Clash($clash->kind, $clash->series, $clash->sections, $people, $days);
        }

        return array_values($out);
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
            $minute = intdiv(((($start + $offset) % 86400) + 86400) % 86400, 60);
            if ($minute < self::COMFORTABLE[0] || $minute > self::COMFORTABLE[1]) {
                $out[] = $day;
            }
        }

        return $out;
    }
}
