<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;

/**
 * A series' plans over the term, one after the other: each holds until the next begins. Most series have one; an edit
 * of "this and later ones" adds another, and the series stays one series for everybody who is in it.
 */
final readonly class PlanHistory
{
    /** @param  non-empty-list<SeriesPlan>  $plans */
    public function __construct(public array $plans)
    {
    }

    /** @return list<PlannedSession> in order; no date twice */
    public function sessions(Term $term): array
    {
        if (count($this->plans) === 1) {
            return $this->plans[0]->sessions($term);
        }
        $out = [];
        foreach ($this->plans as $i => $plan) {
            $next = $this->plans[$i + 1]->from ?? null;
            foreach ($plan->sessions($term) as $session) {
                if ($next === null || $session->day < $next->day) {
                    $out[] = $session;
                }
            }
        }

        return $out;
    }

    /** The same at the same times of day on another clock. */
    public function in(Zone $zone): self
    {
        return new self(
            array_map(
                fn (SeriesPlan $p): SeriesPlan => new SeriesPlan(...['zone' => $zone] + get_object_vars($p)),
                $this->plans,
            ),
        );
    }

    public function last(): SeriesPlan
    {
        return $this->plans[count($this->plans) - 1];
    }

    /**
     * With another plan from a day on. What was planned from that day on is replaced; a stretch that would have no day
     * left goes. How a stretch ends stays with it: "after n sessions held" counts within its own stretch.
     */
    public function from(LocalDate $day, SeriesPlan $plan): self
    {
        $kept = array_values(array_filter($this->plans, fn (SeriesPlan $p): bool => $p->from->day < $day->day));
        $from = new SeriesPlan(
            $plan->pattern,
            new LocalDate(max($day->day, $plan->from->day)),
            $plan->end,
            $plan->startMinute,
            $plan->minutes,
            $plan->zone,
            $plan->period,
        );

        return new self([...$kept, $from]);
    }

    /**
     * "Tue Thu 10:00–10:45", and from when it changes: "…, from Tue 23 Feb: Wed Fri 11:15–12:00".
     *
     * @param  int|null  $today  a day number: what was before the plan that holds then is left out; all where null
     */
    public function said(?int $today = null): Said
    {
        $first = 0;
        foreach ($this->plans as $i => $plan) {
            $first = $today !== null && $plan->from->day <= $today ? $i : $first;
        }
        $rest = array_map(
            fn (SeriesPlan $p): Said => new Said('patterns.from', ['day' => $p->from, 'plan' => $p->said()]),
            array_slice($this->plans, $first + 1),
        );

        return Said::list([$this->plans[$first]->said(), ...$rest]);
    }
}
