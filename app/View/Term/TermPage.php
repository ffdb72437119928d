<?php

declare(strict_types=1);

namespace Nomada\App\View\Term;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Clock;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term as TermCalendar;

/**
 * The term as weeks: which days are open, which closed and why, how many sessions each has, and when the clocks change.
 */
final readonly class TermPage
{
    public function __construct(private Clock $clock)
    {
    }

    /** @return array<string, mixed> */
    public function data(Term $term): array
    {
        $calendar = $term->calendar();
        $perDay = DB::table('sessions')
            ->join('series', 'series.id', '=', 'series_id')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)
            ->groupBy('day')
            ->get([
                'day',
                DB::raw("count(*) filter (where state = 'planned') as planned"),
                DB::raw("count(*) filter (where state = 'lost') as lost"),
            ])
            ->keyBy('day');
        $weeks = [];
        $changes = $this->clockChanges($calendar);
        $weekends = array_filter($calendar->opened, fn (LocalDate $d): bool => $calendar->isOpen($d->day));
        $width = $weekends === [] ? 5 : max(array_map(fn (LocalDate $d): int => $d->weekday(), $weekends));
        for ($week = 1; $week <= $calendar->weeks(); $week++) {
            $days = [];
            for ($weekday = 0; $weekday < $width; $weekday++) {
                $date = $calendar->monday($week)->plus($weekday);
                $count = $perDay->get($date->iso());
                $days[] = [
                    'date' => $date,
                    'inTerm' => $calendar->contains($date->day),
                    'reason' => $calendar->closedBecause($date->day),
                    'planned' => (int) ($count->planned ?? 0),
                    'lost' => (int) ($count->lost ?? 0),
                    'rotation' => $calendar->rotationLabel($date->day),
                    'short' => $calendar->shortDay($date->day),
                ];
            }
            $weeks[] = [
                'n' => $week,
                'monday' => $calendar->monday($week),
                'days' => $days,
                'change' => $changes[$week] ?? null,
                'rotation' => $calendar->rotation?->byWeek === true
                        ? $calendar->rotationLabel(
                            $calendar->monday($week)->day < $calendar->first->day
                                ? $calendar->first->day
                                : $calendar->monday($week)->day,
                        )
                        : null,
            ];
        }
        $lost = DB::table('sessions')
            ->join('series', 'series.id', '=', 'series_id')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)
            ->where('state', 'lost')
            ->groupBy('reason')
            ->get([
                'reason',
                DB::raw('count(*) as sessions'),
                DB::raw(
                    '(select count(distinct x.section_id) from series_sections x where x.series_id =
                        any(array_agg(sessions.series_id))) as sections',
                ),
            ])
            ->keyBy('reason');

        return [
            'history' => CalendarHistory::of($term),
            'terms' => Term::query()->orderBy('starts_on')->withCount('sections')->get(),
            'days' => array_slice(['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'], 0, $width),
            'toMakeUp' => $this->toMakeUp($term),
            'term' => $term,
            'calendar' => $calendar,
            'weeks' => $weeks,
            'lost' => $lost,
            'openDays' => count($calendar->openDays()),
            'today' => $calendar->zone->dateAt($this->clock->seconds())->day,
            'most' => max(1, (int) $perDay->max('planned')),
        ];
    }

    /** Lost and cancelled sessions that nothing makes up. */
    private function toMakeUp(Term $term): int
    {
        return DB::table('sessions')
            ->join('series', 'series.id', '=', 'series_id')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)
            ->whereIn('state', ['lost', 'cancelled'])
            ->whereNotExists(
                fn ($q) => $q
                    ->from('sessions as made')
                    ->whereColumn('made.series_id', 'sessions.series_id')
                    ->whereColumn('made.makes_up', 'sessions.day')
                    ->where('made.state', 'planned'),
            )
            ->count();
    }

    /** @return array<int, string> by week, what the clocks do at its end or in it */
    private function clockChanges(TermCalendar $calendar): array
    {
        $out = [];
        foreach (array_slice($calendar->zone->changes($calendar->starts(), $calendar->ends()), 1) as $change) {
            $date = $calendar->zone->dateAt($change['at']);
            $hours = ($change['offset'] - $change['before']) / 3600;
            $out[$calendar->weekOf($date->day)] =
                'Clocks go '.($hours > 0 ? 'forward' : 'back').' on '.$date->short();
        }

        return $out;
    }
}
