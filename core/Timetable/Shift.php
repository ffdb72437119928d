<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;

/**
 * Moves more than one session of a series at once: what a drag means for "this and later" and for "the whole series".
 *
 * All of them move by as many days and to the same time of day, as free times mean it too: of a series on Tuesdays and
 * Thursdays that is dragged a day on, the later ones are on Wednesdays and Fridays. Patterns that have no weekdays or
 * dates to move say so.
 */
final readonly class Shift
{
    /**
     * @param  int  $slot  the date of the pattern that is moved
     * @param  int  $to  the day that it is moved to
     * @param  int  $start  minutes from midnight on the plan's own clock
     */
    public function __construct(private int $slot, private int $to, private int $start, private int $minutes)
    {
    }

    /**
     * On another clock than the plan's: where a coordinator's screen shows the school's.
     *
     * @param  int  $start  minutes from midnight on `shown`
     */
    public static function shown(int $slot, int $to, int $start, int $minutes, Zone $shown, Zone $plan): self
    {
        [$day, $minute] = $plan->wall($shown->instant($to, $start));

        return new self($slot, $day, $minute, $minutes);
    }

    /** @throws Fault where the pattern's day cannot be moved so */
    public function plan(SeriesPlan $plan, Term $term): SeriesPlan
    {
        $period = $this->period($plan, $term);

        return new SeriesPlan(
            $this->pattern($plan->pattern, $term),
            $this->first($plan),
            $this->end($plan),
            $this->start,
            $this->minutes,
            $plan->zone,
            $period,
        );
    }

    /**
     * The plans afterwards, moved from a date of the pattern on; what comes before it stays.
     *
     * @param  int  $from  the first date that moves: the dragged session's for "this and later", the first that has
     *   not begun for the whole series
     *
     * @throws Fault
     */
    public function over(PlanHistory $stretches, int $from, Term $term): PlanHistory
    {
        $at = $stretches->plans[0];
        $later = [];
        foreach ($stretches->plans as $plan) {
            if ($plan->from->day <= $from) {
                $at = $plan;
            } else {
                $later[] = $this->plan($plan, $term);
            }
        }
        // Moved to an earlier day, the first of them still has to be in the new stretch.
        $begins = new LocalDate(min($from, $from + $this->to - $this->slot));
        $new = $stretches->from($begins, $this->plan($at, $term));

        return new PlanHistory([...$new->plans, ...$later]);
    }

    private function pattern(Pattern $pattern, Term $term): Pattern
    {
        $by = $this->to - $this->slot;
        if ($by === 0) {
            return $pattern;
        }
        if ($pattern instanceof DatesPattern) {
            return new DatesPattern(array_map(fn (int $d): int => $d + $by, $pattern->days));
        }
        $weekdays =
            $pattern instanceof WeeklyPattern
                ? $pattern->weekdays
                : ($pattern instanceof RotationPattern && $pattern->byWeek
                    ? $pattern->weekdays
                    : null);
        if ($weekdays === null) {
            throw new Fault('reach.no_weekdays', 'reach');
        }
        $moved = array_map(fn (int $d): int => $d + $by, $weekdays);
        if (array_filter($moved, fn (int $d): bool => $d < 1 || $d > 7) !== []) {
            throw new Fault('reach.week', 'reach');
        }

        $open = array_flip(array_map(LocalDate::weekdayOf(...), $term->openDays()));
        foreach ($moved as $weekday) {
            if (! isset($open[$weekday])) {
                throw new Fault('reach.closed', 'reach', ['weekday' => LocalDate::dayName($weekday)]);
            }
        }

        return $pattern instanceof WeeklyPattern
            ? new WeeklyPattern($moved, $pattern->every)
            : new RotationPattern(true, $pattern instanceof RotationPattern ? $pattern->labels : [], $moved);
    }

    /** The first day moves along, within its week: weeks are counted from it. */
    private function first(SeriesPlan $plan): LocalDate
    {
        return $this->along($plan->from, $plan->pattern);
    }

    private function end(SeriesPlan $plan): SeriesEnd
    {
        return $plan->end->date === null
            ? $plan->end
            : SeriesEnd::onDate($this->along($plan->end->date, $plan->pattern));
    }

    private function along(LocalDate $date, Pattern $pattern): LocalDate
    {
        $by = $this->to - $this->slot;
        $monday = $date->monday()->day;

        return new LocalDate(
            $pattern instanceof DatesPattern ? $date->day + $by : max($monday, min($monday + 6, $date->day + $by)),
        );
    }

    /** Tied to a period before, it is tied to the one that has the new time; to none where no period has. */
    private function period(SeriesPlan $plan, Term $term): ?string
    {
        if ($plan->period === null) {
            return null;
        }
        foreach ($term->plan->periods ?? [] as $period) {
            if ($period->start === $this->start && $period->minutes() === $this->minutes) {
                return $period->name;
            }
        }

        return null;
    }
}
