<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

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
        return LocalDate::dayName($this->weekday).
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
                    : 'the teacher is elsewhere'),
        ];
        if ($this->closed > 0) {
            $parts[] = "$this->closed on closed days";
        }
        if ($this->students > 0) {
            $parts[] =
                'on '.
                (new LocalDate($this->worstDay))->short().
                " $this->worst ".
                ($this->worst === 1 ? 'student is' : 'students are').
                ' elsewhere';
        }
        if ($this->uncomfortable > 0) {
            $parts[] = 'early or late for '.$this->uncomfortable;
        }

        return implode('; ', $parts);
    }
}
