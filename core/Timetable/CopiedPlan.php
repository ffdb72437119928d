<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;

/**
 * A series' plan, carried from one term into another: the same weekdays at the same clock time or period. It begins and
 * ends in the same teaching week as before, or with the term where it did so before; listed dates move by as many weeks
 * as lie between the two terms.
 */
final class CopiedPlan
{
    /** Null where nothing of it falls into the other term. */
    public static function into(SeriesPlan $plan, Term $from, Term $to): ?SeriesPlan
    {
        $by = $to->first->monday()->day - $from->first->monday()->day;
        $move = fn (LocalDate $date): LocalDate => new LocalDate(
            max($to->first->day, min($to->last->day, $date->day + $by)),
        );
        if ($plan->pattern instanceof DatesPattern) {
            $days = array_values(
                array_filter(array_map(fn (int $d): int => $d + $by, $plan->pattern->days), $to->contains(...)),
            );

            return $days === []
                ? null
                : new SeriesPlan(
                    new DatesPattern($days),
                    new LocalDate($days[0]),
                    SeriesEnd::onDate(new LocalDate($days[count($days) - 1])),
                    $plan->startMinute,
                    $plan->minutes,
                    $plan->zone,
                    $plan->period,
                );
        }
        $first = $from->weekOf($plan->from->day) <= 1 ? $to->first : $move($plan->from);
        $end = $plan->end;
        if ($end->date !== null) {
            $end =
                $from->weekOf($end->date->day) >= $from->weeks()
                    ? SeriesEnd::withTerm()
                    : SeriesEnd::onDate($move($end->date));
        }
        if ($end->date !== null && $end->date->day < $first->day) {
            return null;
        }
        $pattern =
            $plan->pattern instanceof RulePattern
                ? Patterns::from([...$plan->pattern->toArray(), 'anchor' => $first->iso()])
                : $plan->pattern;
        $copy = new SeriesPlan(
            $pattern,
            $first,
            $end,
            $plan->startMinute,
            $plan->minutes,
            $plan->zone,
            $plan->period,
        );

        return $copy->sessions($to) === [] ? null : $copy;
    }
}
