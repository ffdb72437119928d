<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;

/** A time at which a series (or one session) could be, and what it would cost. */
final readonly class FreeTime
{
    /**
     * @param  int  $shift  days by which every session moves
     * @param  int  $start  minutes from midnight, on the series' clock
     * @param  int  $clear  of $sessions, those in which no teacher is elsewhere; $closed of them fall on closed days
     * @param  int  $students  student-sessions that clash; at most $worst of them, on $worstDay
     * @param  int  $uncomfortable  students for whom it is out of hours
     * @param  int  $noAccount  sessions for which the host account has no place, though the teachers are free
     * @param  int  $on  days on which students clash
     * @param  list<int>  $weekdays  that it is on, Monday first
     * @param  int  $short  sessions right before or after which a teacher has less than a turnaround's pause
     * @param  int  $outside  sessions outside the school's open hours
     */
    public function __construct(
        public int $shift,
        public int $start,
        public int $minutes,
        public int $sessions,
        public int $clear,
        public int $closed,
        public int $students,
        public int $worstDay,
        public int $worst,
        public int $uncomfortable,
        public int $distance,
        public int $weekday,
        public int $firstDay,
        public ?string $period = null,
        public int $noAccount = 0,
        public int $on = 0,
        public array $weekdays = [],
        public int $short = 0,
        public int $outside = 0,
    ) {
    }

    /** Whether nobody and nothing is in its way. */
    public function costsNothing(): bool
    {
        return $this->isClear() && $this->uncomfortable === 0 && $this->short === 0 && $this->outside === 0;
    }

    /** Whether nobody is elsewhere: no hard clash, and none of students. */
    public function isClear(): bool
    {
        return $this->clear === $this->sessions && $this->students === 0;
    }

    /** @return list<int> to compare by; smaller is better */
    public function rank(): array
    {
        return [
            $this->sessions - $this->clear,
            $this->students,
            $this->uncomfortable,
            $this->short + $this->outside,
            $this->distance,
        ];
    }

    /** `Thu 12:15–13:00`, `Thu period 4, 12:15–13:00` */
    public function when(): Said
    {
        $days = $this->weekdays === [] ? [$this->weekday] : $this->weekdays;

        return Said::row([
            ...array_map(Said::weekday(...), $days),
            SeriesPlan::at($this->period, $this->start, $this->minutes),
        ]);
    }

    /**
     * @return list<Said> like "12 of 13 clear", "the teacher is free for 12 of 13" and "on Thu 18 Mar 3 students are
     *   elsewhere"
     */
    public function cost(): array
    {
        $out = [$this->teachers()];
        if ($this->noAccount > 0 && $this->sessions > 1) {
            $out[] = new Said('free.days', ['n' => $this->noAccount]);
        }
        if ($this->closed > 0) {
            $out[] = new Said('free.closed', ['closed' => $this->closed]);
        }
        if ($this->students > 0) {
            $out[] = $this->elsewhere();
        }
        if ($this->uncomfortable > 0) {
            $out[] = new Said('free.hours', ['n' => $this->uncomfortable]);
        }
        foreach (array_filter(['short' => $this->short, 'outside' => $this->outside]) as $what => $n) {
            $out[] = new Said("free.$what", ['n' => $n]);
        }

        return $out;
    }

    /** Whether those can come whom it cannot be without, and the room is free. */
    private function teachers(): Said
    {
        return match (true) {
            // "Clear" is what is no clash once it is planned: a student elsewhere is one.
            $this->sessions > 1 => new Said($this->students === 0 ? 'free.clear' : 'free.teachers', [
                'clear' => $this->clear,
                'sessions' => $this->sessions,
            ]),
            $this->clear !== 1 => new Said($this->noAccount > 0 ? 'free.no_account' : 'free.elsewhere'),
            default => new Said($this->students === 0 ? 'free.everybody' : 'free.teacher'),
        };
    }

    /** "on Thu 18 Mar 3 students are elsewhere", "on 30 days 2 students each are elsewhere". */
    private function elsewhere(): Said
    {
        $with = ['n' => $this->worst, 'days' => $this->on, 'day' => new LocalDate($this->worstDay)];

        return new Said(
            match (true) {
                $this->on <= 1 => 'free.students.once',
                $this->worst * $this->on === $this->students => 'free.students.each',
                default => 'free.students.most',
            },
            $with,
        );
    }
}
