<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\TypedTime;

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
    ) {
    }

    /** @return list<int> to compare by; smaller is better */
    public function rank(): array
    {
        return [$this->sessions - $this->clear, $this->students, $this->uncomfortable, $this->distance];
    }

    /** `Thu 12:15–13:00` */
    public function words(): string
    {
        $days = $this->weekdays === [] ? [$this->weekday] : $this->weekdays;

        return implode(' ', array_map(LocalDate::dayName(...), $days)).
            ($this->period === null ? '' : " period $this->period,").
            ' '.
            TypedTime::format($this->start).
            '–'.
            TypedTime::format($this->start + $this->minutes);
    }

    /** "12 of 13 clear; on Thu 18 Mar 3 students are elsewhere" */
    public function cost(): string
    {
        $parts = [
            $this->sessions > 1
                ? "$this->clear of $this->sessions clear"
                : ($this->clear === 1
                    ? ($this->students === 0
                        ? 'everybody is free'
                        : 'the teacher is free')
                    : ($this->noAccount > 0
                        ? 'the host account is taken'
                        : 'the teacher is elsewhere')),
        ];
        if ($this->noAccount > 0 && $this->sessions > 1) {
            $parts[] = 'the host account is taken on '.$this->noAccount.' days';
        }
        if ($this->closed > 0) {
            $parts[] = "$this->closed on closed days";
        }
        if ($this->students > 0) {
            $parts[] = $this->elsewhere();
        }
        if ($this->uncomfortable > 0) {
            $parts[] = 'early or late for '.$this->uncomfortable;
        }

        return implode('; ', $parts);
    }

    /** "on Thu 18 Mar 3 students are elsewhere", "on 30 days 2 students each are elsewhere". */
    private function elsewhere(): string
    {
        $many = fn (int $n): string => $n.($n === 1 ? ' student' : ' students');

        return match (true) {
            $this->on <= 1 => 'on '.
                (new LocalDate($this->worstDay))->short().
                ' '.
                $many($this->worst).
                ($this->worst === 1 ? ' is elsewhere' : ' are elsewhere'),
            $this->worst * $this->on === $this->students => "on $this->on days {$many($this->worst)} each ".
                ($this->worst === 1 ? 'is elsewhere' : 'are elsewhere'),
            default => "on $this->on days up to {$many($this->worst)} are elsewhere, most on ".
                (new LocalDate($this->worstDay))->short(),
        };
    }
}
