<?php

declare(strict_types=1);

namespace Nomada\App\View\Term;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Clock;
use Nomada\Core\Term\Term as TermCalendar;

/** The term as weeks: which days are open, which closed and why, how many sessions each has, and when the clocks change. */
final readonly class TermPage
{
    public function __construct(private Clock $clock)
    {
    }

    /** @return array<string, mixed> */
    public function data(Term $term): array
    {
        $calendar = $term->calendar();
        $perDay = DB::table('sessions')->join('series', 'series.id', '=', 'series_id')->join('sections', 'sections.id', '=', 'section_id')->where('term_id', $term->id)
            ->groupBy('day')->get(['day', DB::raw("count(*) filter (where state = 'planned') as planned"), DB::raw("count(*) filter (where state = 'lost') as lost")])->keyBy('day');
        $weeks = [];
        $changes = $this->clockChanges($calendar);
        for ($week = 1; $week <= $calendar->weeks(); $week++) {
            $days = [];
            for ($weekday = 0; $weekday < 5; $weekday++) {
                $date = $calendar->monday($week)->plus($weekday);
                $count = $perDay->get($date->iso());
                $days[] = [
                    'date' => $date, 'inTerm' => $calendar->contains($date->day), 'reason' => $calendar->closedBecause($date->day),
                    'planned' => (int) ($count->planned ?? 0), 'lost' => (int) ($count->lost ?? 0),
                ];
            }
            $weeks[] = ['n' => $week, 'monday' => $calendar->monday($week), 'days' => $days, 'change' => $changes[$week] ?? null];
        }
        $lost = DB::table('sessions')->join('series', 'series.id', '=', 'series_id')->join('sections', 'sections.id', '=', 'section_id')->where('term_id', $term->id)->where('state', 'lost')
            ->groupBy('reason')->get(['reason', DB::raw('count(*) as sessions'), DB::raw('count(distinct section_id) as sections')])->keyBy('reason');

        return [
            'term' => $term, 'calendar' => $calendar, 'weeks' => $weeks, 'lost' => $lost, 'openDays' => count($calendar->openDays()),
            'today' => $calendar->zone->dateAt($this->clock->seconds())->day, 'most' => max(1, (int) $perDay->max('planned')),
        ];
    }

    /** @return array<int, string> by week, what the clocks do at its end or in it */
    private function clockChanges(TermCalendar $calendar): array
    {
        $out = [];
        foreach (array_slice($calendar->zone->changes($calendar->starts(), $calendar->ends()), 1) as $change) {
            $date = $calendar->zone->dateAt($change['at']);
            $hours = ($change['offset'] - $change['before']) / 3600;
            $out[$calendar->weekOf($date->day)] = 'Clocks go '.($hours > 0 ? 'forward' : 'back').' on '.$date->short();
        }

        return $out;
    }
}
