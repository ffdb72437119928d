<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Actions\Publishing\RefreshSections;
use Nomada\App\Actions\Timetable\LaySessions;
use Nomada\App\Actions\Timetable\RefreshClashes;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Term\TermChange;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Clock;
use Nomada\App\Support\HistoryLine;
use Nomada\App\Support\Say;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term as Calendar;
use Nomada\Core\Timetable\Patterns;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\ScheduleReconciliation;

/**
 * After a change of the school calendar (closed, opened and short days, day plans, rotation) the series that it
 * concerns are laid again, in a few queries; those whose sessions changed count up and get a line in their history, and
 * their sections' clashes and placements follow. What has begun stays.
 */
final readonly class FollowCalendar
{
    /** Up to how many sections what should be is written down at once; of more, behind the page. */
    private const AT_ONCE = 60;

    public function __construct(
        private Clock $clock,
        private LaySessions $lay,
        private RefreshClashes $clashes,
        private RefreshPlacements $refresh,
    ) {
    }

    /**
     * @param  Calendar  $before  as it was
     * @param  Term  $term  as it is now
     * @param  TermChange|null  $change  under which the lines of the histories stand; null to look only
     */
    public function __invoke(Calendar $before, Term $term, ?TermChange $change): CalendarEffect
    {
        $after = $term->calendar();
        $series = $this->concerned($term, $before, $after);
        $names = $this->names($series);
        foreach ($series as $one) {
            $period = $one->period === null ? null : $after->plan?->period($one->period);
            if ($period !== null) {
                // Its usual time is the usual plan's.
                $one->fill(['start_minute' => $period->start, 'minutes' => $period->minutes()]);
            }
        }
        $sum = ['stay' => 0, 'move' => 0, 'come' => 0, 'go' => 0, 'lost' => 0];
        $waiting = $back = $changed = [];
        foreach ($this->lay->follow($series, $after, $change !== null) as $id => [$laying, $isChanged]) {
            foreach (array_keys($sum) as $what) {
                $sum[$what] += $laying->effect[$what];
            }
            $tell = fn (PlannedSession $s): array => [
                'section' => $names[$id],
                'what' => Say::this(ScheduleReconciliation::told($s)),
            ];
            array_push($waiting, ...array_map($tell, $laying->waiting));
            array_push($back, ...array_map($tell, $laying->back));
            if ($isChanged) {
                $changed[$id] = $laying;
            }
        }
        $sections = $this->sections(array_keys($changed));
        $effect = new CalendarEffect(
            count($changed),
            count($sections),
            ...[...array_values($sum), $waiting, $back],
        );
        if ($change !== null) {
            $this->write($series, $changed, $sections, $term, $change);
        }

        return $effect;
    }

    /**
     * The series that a change can concern: all of them where the term has another first or last day; else those with a
     * session or a date on a day that is another one now, those that meet on such a weekend day, and those whose dates
     * are counted over open days.
     *
     * @return Collection<int, Series>
     */
    private function concerned(Term $term, Calendar $before, Calendar $after): Collection
    {
        $all = Series::query()->whereHas('section', fn ($q) => $q->where('term_id', $term->id))->orderBy('id');
        if ([$before->first->day, $before->last->day] !== [$after->first->day, $after->last->day]) {
            return $all->get()->toBase();
        }
        $days = $beside = [];
        // A weekly series has no session on a Saturday that is not opened, so none leads to it.
        $weekend = false;
        for ($day = $after->first->day; $day <= $after->last->day; $day++) {
            $same =
                $before->closedBecause($day) === $after->closedBecause($day) &&
                $before->planOn($day) == $after->planOn($day) &&
                $before->rotationLabel($day) === $after->rotationLabel($day);
            if (! $same) {
                $days[] = (new LocalDate($day))->iso();
                $weekend = $weekend || LocalDate::weekdayOf($day) > 5;
                // On another clock a session may have the date before or after.
                array_push($beside, (new LocalDate($day - 1))->iso(), (new LocalDate($day + 1))->iso());
            }
        }
        $plans = $before->plan != $after->plan;

        return $all
            ->where(
                fn ($q) => $q
                    ->whereIn(
                        'id',
                        DB::table('sessions')
                            ->where(fn ($s) => $s->whereIn('day', $days)->orWhereIn('moved_from', $days))
                            ->select('series_id'),
                    )
                    ->orWhere(
                        fn ($w) => $w
                            ->where('time_zone', '!=', $after->zone->name)
                            ->whereIn('id', DB::table('sessions')->whereIn('day', $beside)->select('series_id')),
                    )
                    ->when(
                        $days !== [],
                        fn ($w) => $w
                            ->orWhereIn(DB::raw("pattern->>'kind'"), Patterns::OVER_OPEN_DAYS)
                            ->orWhere(function ($earlier): void {
                                foreach (Patterns::OVER_OPEN_DAYS as $kind) {
                                    $earlier->orWhereRaw('earlier::text like ?', ["%\"$kind\"%"]);
                                }
                            }),
                    )
                    ->when(
                        $weekend,
                        fn ($w) => $w
                            ->orWhereRaw(
                                "pattern->>'kind' = 'weekly' and ".
                                    "(pattern->'weekdays' @> '[6]' or pattern->'weekdays' @> '[7]')",
                            )
                            ->orWhereRaw("earlier::text like '%\"weekly\"%'"),
                    )
                    ->when(
                        $plans,
                        fn ($w) => $w->orWhereNotNull('period')->orWhereRaw("earlier::text like '%period%'"),
                    ),
            )
            ->get()
            ->toBase();
    }

    /**
     * @param  Collection<int, Series>  $series
     * @return array<int, string> the section's name, by series
     */
    private function names(Collection $series): array
    {
        return DB::table('series')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->whereIntegerInRaw('series.id', $series->pluck('id')->all())
            ->pluck(
                DB::raw("case when year = '' then '' else 'Y' || year || ' ' end || sections.title as name"),
                'series.id',
            )
            ->all();
    }

    /**
     * @param  list<int>  $series
     * @return list<int>
     */
    private function sections(array $series): array
    {
        return array_values(
            array_map(
                intval(...),
                DB::table('series_sections')
                    ->whereIntegerInRaw('series_id', $series)
                    ->distinct()
                    ->orderBy('section_id')
                    ->pluck('section_id')
                    ->all(),
            ),
        );
    }

    /**
     * @param  Collection<int, Series>  $series
     * @param  array<int, ScheduleReconciliation>  $changed
     * @param  list<int>  $sections
     */
    private function write(
        Collection $series,
        array $changed,
        array $sections,
        Term $term,
        TermChange $change,
    ): void {
        foreach ($series as $one) {
            if ($one->isDirty()) {
                $one->save();
            }
        }
        DB::table('series')
            ->whereIntegerInRaw('id', array_keys($changed))
            ->update([
                'sequence' => DB::raw('sequence + 1'),
                'changed_at' => $this->clock->now(),
            ]);
        $lines = [];
        foreach ($series as $one) {
            if (isset($changed[$one->id])) {
                $lines[] = [
                    'section_id' => $one->section_id,
                    'series_id' => $one->id,
                    'person_id' => $change->person_id,
                    'at' => $change->at->format('Y-m-d H:i:sP'),
                    ...HistoryLine::columns(self::line($change, $changed[$one->id])),
                    'before' => null,
                    'term_change_id' => $change->id,
                ];
            }
        }
        foreach (array_chunk($lines, 500) as $chunk) {
            DB::table('series_changes')->insert($chunk);
        }
        // Open hours change clashes and no session.
        ($this->clashes)($term, count($sections) > self::AT_ONCE || $changed === [] ? null : $sections);
        if (count($sections) <= self::AT_ONCE) {
            ($this->refresh)($sections);

            return;
        }
        RefreshSections::later($sections);
    }

    /** "closed Fri 26 Feb: Storm: 1 lost, 1 held again": what it did to one series. */
    private static function line(TermChange $change, ScheduleReconciliation $laying): Said
    {
        $did = [];
        foreach (['move', 'come', 'go', 'lost'] as $what) {
            if ($laying->effect[$what] > 0) {
                $did[] = new Said("history.did.$what", ['n' => $laying->effect[$what]]);
            }
        }
        foreach ($laying->waiting as $session) {
            $did[] = new Said('history.did.waits', ['what' => ScheduleReconciliation::told($session)]);
        }
        $said = HistoryLine::said($change->words ?? '', $change->said);

        return $did === [] ? $said : new Said('history.with', ['what' => $said, 'with' => $did]);
    }
}
