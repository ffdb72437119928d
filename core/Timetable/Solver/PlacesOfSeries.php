<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Period;
use Nomada\Core\Term\Term;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SeriesEnd;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionState;
use Nomada\Core\Timetable\WeeklyPattern;

/**
 * Where a series may be from a day on. A weekly one takes any set of as many weekdays as it has, at one start for all
 * of them; another keeps its days and takes another start. Length, every n-th week and the end stay. A series that
 * meets in periods takes periods of the day plan; any other starts on the coordinator's grid.
 */
final readonly class PlacesOfSeries
{
    public function __construct(private Term $term, private LocalDate $from, private SolverRules $rules)
    {
    }

    /**
     * @param  bool  $isNew  whether it has no time yet: then nothing of it is before its plan begins
     * @return list<SeriesPlan> the plan's own place is among them, where it is on the grid
     */
    public function of(SeriesPlan $plan, bool $isNew = false): array
    {
        $out = [];
        foreach ($this->weekdays($plan) as $weekdays) {
            foreach ($this->starts($plan) as [$start, $minutes, $period]) {
                $out[] = $this->plan($plan, $weekdays, $start, $minutes, $period, $isNew);
            }
        }

        return array_values(array_filter($out));
    }

    /** @return list<int> 1 (Monday) to 7; those of the plan, or none where its pattern has no weekdays */
    public static function weekdaysOf(SeriesPlan $plan): array
    {
        return $plan->pattern instanceof WeeklyPattern ? $plan->pattern->weekdays : [];
    }

    /** @return list<list<int>|null> null for the days as they are */
    private function weekdays(SeriesPlan $plan): array
    {
        $n = count(self::weekdaysOf($plan));

        return $n === 0 ? [null] : self::choices($this->term->weekdays(), $n);
    }

    /**
     * @param  list<int>  $of
     * @return list<list<int>> every choice of n of them, in order
     */
    public static function choices(array $of, int $n): array
    {
        if ($n === 0) {
            return [[]];
        }
        $out = [];
        foreach ($of as $i => $first) {
            foreach (self::choices(array_slice($of, $i + 1), $n - 1) as $rest) {
                $out[] = [$first, ...$rest];
            }
        }

        return $out;
    }

    /** @return list<array{int, int, string|null}> start on the series' clock, minutes, period */
    private function starts(SeriesPlan $plan): array
    {
        if ($plan->period !== null) {
            return array_map(
                fn (Period $p): array => [$p->start, $p->minutes(), $p->name],
                $this->term->plan->periods ?? [],
            );
        }
        $out = [];
        $ahead = $this->ahead($plan);
        $grid = $this->rules->grid;
        for (
            $start = intdiv($this->rules->hours[0] + $grid - 1, $grid) * $grid;
            $start + $plan->minutes <= $this->rules->hours[1];
            $start += $grid
        ) {
            $own = $start + $ahead;
            if ($own >= 0 && $own + $plan->minutes <= 1440) {
                $out[] = [$own, $plan->minutes, null];
            }
        }

        return $out;
    }

    /** Minutes by which the series' clock is ahead of the school's. */
    private function ahead(SeriesPlan $plan): int
    {
        $noon = $this->term->zone->instant($this->from->day, 720);

        return intdiv($plan->zone->offsetAt($noon) - $this->term->zone->offsetAt($noon), 60);
    }

    /** @param  list<int>|null  $weekdays */
    private function plan(
        SeriesPlan $plan,
        ?array $weekdays,
        int $start,
        int $minutes,
        ?string $period,
        bool $isNew,
    ): ?SeriesPlan {
        $first = $isNew ? $plan->from : $this->first($plan);
        if ($first === null) {
            return null;
        }
        $pattern = $plan->pattern;
        $begins = $first;
        if ($weekdays !== null && $pattern instanceof WeeklyPattern) {
            // Weeks are counted from the one in which a plan begins.
            $begins = new LocalDate(max($this->from->day, $isNew ? $plan->from->day : $first->monday()->day));
            $pattern = new WeeklyPattern($weekdays, $pattern->every);
        }
        $end = $isNew ? $plan->end : $this->end($plan, $weekdays);

        return $end->date !== null && $end->date->day < $begins->day
            ? null
            : new SeriesPlan($pattern, $begins, $end, $start, $minutes, $plan->zone, $period);
    }

    /** The first date of its pattern from the day on. */
    private function first(SeriesPlan $plan): ?LocalDate
    {
        $last = $this->term->last;
        foreach ($plan->pattern->days($plan->from, $last, $this->term) as $day) {
            if ($day >= $this->from->day) {
                return new LocalDate($day);
            }
        }

        return null;
    }

    /**
     * The end as it is. After n sessions is on the day of the last, since those that were held count no more; and where
     * the weekdays are others, at the end of that week.
     *
     * @param  list<int>|null  $weekdays
     */
    private function end(SeriesPlan $plan, ?array $weekdays): SeriesEnd
    {
        $last = $plan->end->date?->day;
        if ($plan->end->n !== null) {
            $held = $plan->sessions($this->term);
            $last = $held === [] ? null : $held[count($held) - 1]->day;
        }
        if ($last === null) {
            return $plan->end;
        }
        $isSame = $weekdays === null || $weekdays === self::weekdaysOf($plan);

        return SeriesEnd::onDate($isSame ? new LocalDate($last) : (new LocalDate($last))->monday()->plus(6));
    }

    /**
     * @return list<array{int, int, int}> the sessions that a plan makes from the day on: day number, UTC start, UTC end
     */
    public function sessions(SeriesPlan $plan): array
    {
        return array_values(
            array_map(
                fn (PlannedSession $s): array => [$s->day, $s->start, $s->end],
                array_filter(
                    $plan->sessions($this->term),
                    fn (PlannedSession $s): bool => $s->state === SessionState::Planned &&
                        $s->day >= $this->from->day,
                ),
            ),
        );
    }
}
