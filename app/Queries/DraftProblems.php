<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Illuminate\Database\Eloquent\Collection;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\TeacherWishRow;
use Nomada\App\Models\Timetable\TimetableDraft;
use Nomada\Core\Timetable\Attendee;
use Nomada\Core\Timetable\CopiedPlan;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\Solver\PlacesOfSeries;
use Nomada\Core\Timetable\Solver\Problem;
use Nomada\Core\Timetable\Solver\ProblemBuilder;
use Nomada\Core\Timetable\Solver\Solution;
use Nomada\Core\Timetable\Solver\TimetabledSeries;

/** Reads the series of one term as they would be in another, for the solver. */
final readonly class DraftProblems
{
    public function __construct(private Meetings $meetings)
    {
    }

    public function of(TimetableDraft $draft): Problem
    {
        $asked = $draft->asked();
        $calendar = $draft->term->calendar();
        $rosters = $this->meetings->rostersOf($draft->fromTerm);
        $places = new PlacesOfSeries($calendar, $asked->from, $asked->rules);
        $all = [];
        foreach ($this->series($draft) as $series) {
            $plan = self::copied($series, $draft);
            if ($plan === null) {
                continue;
            }
            $isPinned = in_array($series->id, $asked->pins, true);
            $isAnew = $draft->is_anew && ! $isPinned && PlacesOfSeries::weekdaysOf($plan) !== [];
            $all[] = new TimetabledSeries(
                $isAnew ? TimetabledSeries::WITHOUT_TIME + $series->id : $series->id,
                $series->id,
                $series->section_id,
                $plan,
                $isAnew ? [] : $places->sessions($plan),
                [],
                self::people($series, $rosters, $draft->fromTerm->calendar()->last->day),
                isPinned: $isPinned,
                hasTime: ! $isAnew,
            );
        }

        return (new ProblemBuilder($calendar, $asked->from, $asked->rules, [], TeacherWishRow::wishes()))->build(
            $all,
        );
    }

    /**
     * The plan of each series in a draft.
     *
     * @return array<int, SeriesPlan|null> by series of the other term; null where no time was found
     */
    public function plans(TimetableDraft $draft, Solution $solution): array
    {
        $moved = [];
        foreach ($solution->moves as $move) {
            $moved[TimetabledSeries::withoutTime($move->series) ?? $move->series] = $move->plan;
        }
        $out = [];
        foreach ($this->series($draft) as $series) {
            $plan = self::copied($series, $draft);
            if ($plan !== null) {
                $isAnew =
                    $draft->is_anew &&
                    ! in_array($series->id, $draft->asked()->pins, true) &&
                    PlacesOfSeries::weekdaysOf($plan) !== [];
                $out[$series->id] = $moved[$series->id] ?? ($isAnew ? null : $plan);
            }
        }

        return $out;
    }

    /** @return Collection<int, Series> */
    private function series(TimetableDraft $draft): Collection
    {
        return Series::query()
            ->with(['section', 'sections'])
            ->whereRelation('section', 'term_id', $draft->from_term_id)
            ->orderBy('id')
            ->get();
    }

    private static function copied(Series $series, TimetableDraft $draft): ?SeriesPlan
    {
        return CopiedPlan::into($series->plan(), $draft->fromTerm->calendar(), $draft->term->calendar());
    }

    /**
     * Everybody who is in the section at the end of the other term; nobody is known to leave during the next.
     *
     * @param  array<int, list<Attendee>>  $rosters
     * @param  int  $last  day number of the last day of the other term
     * @return list<Attendee>
     */
    private static function people(Series $series, array $rosters, int $last): array
    {
        $out = [];
        foreach ($series->sections->modelKeys() as $section) {
            foreach ($rosters[$section] ?? [] as $attendee) {
                if ($attendee->until === null || $attendee->until >= $last) {
                    $out["$attendee->person $attendee->isTeacher"] = new Attendee(
                        $attendee->person,
                        $attendee->isTeacher,
                        zone: $attendee->zone,
                    );
                }
            }
        }

        return array_values($out);
    }
}
