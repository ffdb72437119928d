<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Period;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;

/**
 * When else could it be? Candidate times for a series' sessions from a day on, on a 5-minute grid, ranked by (1)
 * sessions clear of hard clashes, (2) student-sessions that clash, (3) student-sessions out of comfortable hours, (4)
 * sessions without a pause before or after another of the teacher's, or outside open hours, (5) distance from today's
 * time.
 *
 * A candidate keeps the series' pattern of weeks and moves it to another weekday (or set of them, as far apart) and
 * clock time.
 */
final class FreeTimes
{
    private readonly Zone $zone;

    /** @var array<int, list<array{int, int}>> by day */
    private array $ahead = [];

    public const STEP = 5;

    /** Candidates begin within the school's day. Minutes from midnight. */
    private const DAY = [8 * 60, 18 * 60];

    /** Minutes between two sessions of one teacher. */
    private const PAUSE = Clashes::TURNAROUND / 60;

    private const COMFORTABLE = [7 * 60, 20 * 60 + 30];

    /**
     * @param  array<int, list<array{int, int}>>  $teachers  busy times of the teachers by day number: UTC start and end
     * @param  array<int, list<array{int, int, int}>>  $students  busy times of the students by day number: UTC start,
     *   end, and how many of the series' students are in it
     * @param  array<string, int>  $zones  how many students live in each zone
     * @param  Zone|null  $zone  whose clock the series follows; the term's where null
     * @param  array<int, list<array{int, int}>>  $full  by day number: UTC spans in which the series' host account
     *   bears no session more
     */
    public function __construct(
        private readonly Term $term,
        private readonly array $teachers,
        private readonly array $students,
        private readonly array $zones = [],
        ?Zone $zone = null,
        private readonly array $full = [],
    ) {
        $this->zone = $zone ?? $term->zone;
    }

    /**
     * Other times for the days of a series that are still to come. Every candidate moves all its days by the same
     * number of weekdays.
     *
     * @param  list<int>  $days  day numbers of the sessions that would move
     * @param  bool  $mayShift  false where the pattern's days are not weekdays that can be moved
     * @param  bool  $onPeriods  whether to look at the periods of the day plan instead of a grid of five minutes
     * @return list<FreeTime> best first
     */
    public function forSeries(
        array $days,
        int $minute,
        int $minutes,
        int $most = 12,
        bool $mayShift = true,
        bool $onPeriods = false,
    ): array {
        if ($days === []) {
            return [];
        }
        $weekdays = array_values(array_unique(array_map(LocalDate::weekdayOf(...), $days)));
        $shifts = [];
        for (
            $shift = $mayShift ? 1 - min($weekdays) : 0;
            $shift <= ($mayShift ? 5 - max($weekdays) : 0);
            $shift++
        ) {
            $shifts[$shift] = array_map(fn (int $d): int => $d + $shift, $days);
        }

        return $this->best($shifts, $minute, $minutes, $most, $onPeriods);
    }

    /**
     * Times on which one lost session could be made up: any open day of the span.
     *
     * @return list<FreeTime> best first
     */
    public function forOne(
        int $day,
        int $first,
        int $last,
        int $minute,
        int $minutes,
        int $most = 12,
        bool $onPeriods = false,
    ): array {
        $shifts = [];
        for ($d = max($first, $this->term->first->day); $d <= min($last, $this->term->last->day); $d++) {
            if ($this->term->isOpen($d)) {
                $shifts[$d - $day] = [$d];
            }
        }

        return $this->best($shifts, $minute, $minutes, $most, $onPeriods);
    }

    /**
     * @param  array<int, list<int>>  $shifts  the days by how far they are moved
     * @return list<FreeTime>
     */
    private function best(array $shifts, int $minute, int $minutes, int $most, bool $onPeriods): array
    {
        $starts =
            $onPeriods && $this->term->plan !== null
                ? array_map(
                    fn (Period $p): array => [$p->start, $p->minutes(), $p->name],
                    $this->term->plan->periods,
                )
                : $this->grid($minutes);
        $near = [];
        foreach ($shifts as $shift => $days) {
            $near[abs($shift)][$shift] = $days;
        }
        ksort($near);
        $alone = count($shifts) === 1;
        $out = $free = [];
        foreach ($near as $group) {
            foreach ($group as $shift => $days) {
                $busy = $this->busy($days);
                foreach ($starts as [$start, $length, $period]) {
                    if ($shift === 0 && $start === $minute) {
                        continue;
                    }
                    $one = $this->cost($days, $busy, $shift, $start, $minute, $length, $period);
                    $out[] = $one;
                    if ($one->costsNothing()) {
                        $free[] = $one;
                    }
                }
            }
            // What costs nothing is bettered by nothing but what is nearer, and the days that follow are further off.
            $best = $this->apart(self::ranked($free), $most, $alone);
            if (count($best) === $most) {
                return $best;
            }
        }

        return $this->apart(self::ranked($out), $most, $alone);
    }

    /**
     * Each is ranked once: a span of five weeks has four thousand candidates.
     *
     * @param  list<FreeTime>  $all
     * @return list<FreeTime> best first
     */
    private static function ranked(array $all): array
    {
        $ranks = array_map(fn (FreeTime $f): array => $f->rank(), $all);
        asort($ranks);

        return array_map(fn (int $n): FreeTime => $all[$n], array_keys($ranks));
    }

    /**
     * What given times cost, as they are: for a plan that is being made, or a move that is being looked at.
     *
     * @param  list<array{int, int, int}>  $sessions  day number, minutes from midnight, length in minutes
     */
    public function at(array $sessions): ?FreeTime
    {
        if ($sessions === []) {
            return null;
        }
        $busy = $this->busy(array_column($sessions, 0));
        $clear = $students = $closed = $early = $noAccount = $on = $short = $outside = 0;
        $worst = [0, 0];
        foreach ($sessions as [$day, $start, $minutes]) {
            $one = $this->cost([$day], $busy, 0, $start, $start, $minutes, null);
            $clear += $one->clear;
            $students += $one->students;
            $noAccount += $one->noAccount;
            $on += $one->on;
            $closed += $one->closed;
            $short += $one->short;
            $outside += $one->outside;
            $early = max($early, $one->uncomfortable);
            $worst = $one->students > $worst[1] ? [$day, $one->students] : $worst;
        }
        [$day, $start, $minutes] = $sessions[0];

        return new FreeTime(
            0,
            $start,
            $minutes,
            count($sessions),
            $clear,
            $closed,
            $students,
            $worst[0],
            $worst[1],
            $early,
            0,
            LocalDate::weekdayOf($day),
            $day,
            null,
            $noAccount,
            $on,
            self::weekdays(array_column($sessions, 0)),
            $short,
            $outside,
        );
    }

    /**
     * @param  list<int>  $days
     * @return list<int> the weekdays of some days, each once, Monday first
     */
    private static function weekdays(array $days): array
    {
        $out = array_values(array_unique(array_map(LocalDate::weekdayOf(...), $days)));
        sort($out);

        return $out;
    }

    /** @return list<array{int, int, null}> start, length, no period */
    private function grid(int $minutes): array
    {
        $out = [];
        for ($start = self::DAY[0]; $start + $minutes <= self::DAY[1]; $start += self::STEP) {
            $out[] = [$start, $minutes, null];
        }

        return $out;
    }

    /**
     * What is busy on each of the days, in minutes of the series' wall clock: teachers first, students with their
     * number.
     *
     * @param  list<int>  $days
     * @return array<int, array{Spans, Spans, Spans, array{int, int}}|null> null for a closed day; third the spans in
     *   which no place is left on the account, last the day's open hours
     */
    private function busy(array $days): array
    {
        $out = [];
        foreach ($days as $day) {
            if (! $this->term->isOpen($day)) {
                $out[$day] = null;

                continue;
            }
            $midnight = $this->zone->instant($day, 0);
            $local = fn (array $b): array => [
                intdiv($b[0] - $midnight, 60),
                intdiv($b[1] - $midnight, 60),
                $b[2] ?? 1,
            ];
            $out[$day] = [
                new Spans(array_map($local, $this->teachers[$day] ?? [])),
                new Spans(array_map($local, $this->students[$day] ?? [])),
                new Spans(array_map($local, $this->full[$day] ?? [])),
                array_map(
                    fn (int $minute): int => intdiv($this->term->zone->instant($day, $minute) - $midnight, 60),
                    $this->term->hoursOn($day),
                ),
            ];
        }

        return $out;
    }

    /**
     * @param  list<int>  $days
     * @param  array<int, array{Spans, Spans, Spans, array{int, int}}|null>  $busy
     */
    private function cost(
        array $days,
        array $busy,
        int $shift,
        int $start,
        int $minute,
        int $minutes,
        ?string $period = null,
    ): FreeTime {
        [$usual, $length] = [$start, $minutes];
        $end = $start + $minutes;
        $clear = $students = $closed = $noAccount = $on = $short = $outside = 0;
        $worst = [0, 0];
        foreach ($days as $day) {
            if ($busy[$day] === null) {
                $closed++;

                continue;
            }
            if ($period !== null) {
                // The period's time on that day: a short day has another plan, which may lack it.
                $at = $this->term->planOn($day)?->period($period);
                if ($at === null) {
                    $closed++;

                    continue;
                }
                [$start, $end] = [$at->start, $at->end];
            }
            [$teachers, $others, $account, [$opens, $closes]] = $busy[$day];
            $outside += $start < $opens || $end > $closes ? 1 : 0;
            if ($teachers->within($start, $end) === 0) {
                $short += $teachers->within($start - self::PAUSE, $end + self::PAUSE) > 0 ? 1 : 0;
                $isFull = $account->within($start, $end) > 0;
                $noAccount += $isFull ? 1 : 0;
                $clear += $isFull ? 0 : 1;
            }
            $here = $others->within($start, $end);
            $students += $here;
            $on += $here > 0 ? 1 : 0;
            $worst = $here > $worst[1] ? [$day, $here] : $worst;
        }
        $distance = abs($shift) * 1440 + abs($usual - $minute);

        return new FreeTime(
            $shift,
            $usual,
            $length,
            count($days),
            $clear,
            $closed,
            $students,
            $worst[0],
            $worst[1],
            $this->uncomfortable($days, $usual),
            $distance,
            LocalDate::weekdayOf($days[0]),
            $days[0],
            $period,
            $noAccount,
            $on,
            self::weekdays($days),
            $short,
            $outside,
        );
    }

    /** @param  list<int>  $days */
    private function uncomfortable(array $days, int $start): int
    {
        // One look at the first and the last day: between them lies at most one change of a clock. Anybody who is out
        // of hours on both counts once.
        $out = [];
        foreach (array_unique([$days[0], $days[count($days) - 1]]) as $day) {
            foreach ($this->elsewhere($day) as $zone => [$ahead, $people]) {
                $minute = ((($start + $ahead) % 1440) + 1440) % 1440;
                if ($minute < self::COMFORTABLE[0] || $minute > self::COMFORTABLE[1]) {
                    $out[$zone] = $people;
                }
            }
        }

        return array_sum($out);
    }

    /**
     * How far each zone's clock is ahead of the series' on a day, in minutes at noon, and how many students go by it.
     * Learnt once a day.
     *
     * @return list<array{int, int}>
     */
    private function elsewhere(int $day): array
    {
        if (! isset($this->ahead[$day])) {
            $noon = $this->zone->instant($day, 720);
            $own = $this->zone->offsetAt($noon);
            $out = [];
            foreach ($this->zones as $name => $people) {
                $out[] = [intdiv(Zone::named((string) $name)->offsetAt($noon) - $own, 60), $people];
            }
            $this->ahead[$day] = $out;
        }

        return $this->ahead[$day];
    }

    /**
     * Of neighbours on the grid the best stands for all, and no weekday fills the list alone: twelve answers five
     * minutes apart help nobody.
     *
     * @param  list<FreeTime>  $ranked
     * @param  bool  $alone  whether there is but one day to choose from
     * @return list<FreeTime>
     */
    private function apart(array $ranked, int $most, bool $alone): array
    {
        $out = $onDay = [];
        $fair = $alone ? $most : max(2, (int) ceil($most / 3));
        foreach ($ranked as $one) {
            if (($onDay[$one->shift] ?? 0) >= $fair) {
                continue;
            }
            foreach ($out as $kept) {
                if ($kept->shift === $one->shift && abs($kept->start - $one->start) < 30) {
                    continue 2;
                }
            }
            $out[] = $one;
            $onDay[$one->shift] = ($onDay[$one->shift] ?? 0) + 1;
            if (count($out) === $most) {
                break;
            }
        }

        return $out;
    }
}
