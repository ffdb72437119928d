<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;

/** Chosen weekdays of every k-th week; weeks are counted from the week in which the series begins. */
final readonly class WeeklyPattern implements Pattern
{
    private const CODES = [1 => 'MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];

    /** @var list<int> 1 (Monday) to 7, ascending */
    public array $weekdays;

    /** The weekday of a code of RFC 5545 ("TU"); 0 if there is none. */
    public static function weekday(string $code): int
    {
        return (int) array_search($code, self::CODES, true);
    }

    /** @param  array<int>  $weekdays */
    public function __construct(array $weekdays, public int $every = 1)
    {
        $weekdays = array_values(array_unique($weekdays));
        sort($weekdays);
        if ($weekdays === []) {
            throw new Fault('pattern.weekdays', 'weekdays');
        }
        if ($weekdays[0] < 1 || end($weekdays) > 7) {
            throw new Fault('pattern.numbered', 'weekdays');
        }
        if ($every < 1 || $every > 26) {
            throw new Fault('pattern.every', 'every');
        }
        $this->weekdays = $weekdays;
    }

    public function days(LocalDate $from, LocalDate $to, Term $term): iterable
    {
        $out = [];
        $step = 7 * $this->every;
        [$first, $last] = [$from->day, $to->day];
        for ($sunday = $from->monday()->day - 1; $sunday < $last; $sunday += $step) {
            foreach ($this->weekdays as $weekday) {
                $day = $sunday + $weekday;
                if ($day >= $first && $day <= $last) {
                    $out[] = $day;
                }
            }
        }

        return $out;
    }

    /** "second", "9th", "21st" */
    public function said(): Said
    {
        $days = Said::row(array_map(Said::weekday(...), $this->weekdays));

        return match (true) {
            $this->every > 1 => new Said('patterns.nth_week', [
                'nth' => $this->nth(),
                'days' => $this->isWorkWeek() ? new Said('patterns.work_week') : $days,
            ]),
            $this->isWorkWeek() => new Said('patterns.work_days'),
            default => $days,
        };
    }

    public function spoken(): Said
    {
        $days = Said::and(array_map(Said::weekdayName(...), $this->weekdays));

        return match (true) {
            $this->every > 1 && $this->isWorkWeek() => new Said('spoken.nth_work_week', ['nth' => $this->nth()]),
            $this->every > 1 => new Said('spoken.nth_week', ['nth' => $this->nth(), 'days' => $days]),
            $this->isWorkWeek() => new Said('patterns.work_days'),
            default => new Said('spoken.weekly', ['days' => $days]),
        };
    }

    private function isWorkWeek(): bool
    {
        return $this->weekdays === [1, 2, 3, 4, 5];
    }

    private function nth(): Said
    {
        return new Said("patterns.weeks.$this->every");
    }

    public function rule(): string
    {
        return 'FREQ=WEEKLY;'.
            ($this->every > 1 ? "INTERVAL=$this->every;" : '').
            'BYDAY='.
            implode(',', array_map(fn (int $d): string => self::CODES[$d], $this->weekdays));
    }

    public function toArray(): array
    {
        return ['kind' => 'weekly', 'weekdays' => $this->weekdays, 'every' => $this->every];
    }
}
