<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesToPlace;
use Nomada\App\Models\Timetable\SolverRun;
use Nomada\App\Models\Timetable\SolverState;
use Nomada\App\Support\Locks;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\Solver\PlacesOfSeries;
use Nomada\Core\Timetable\Solver\Solution;
use Nomada\Core\Timetable\Solver\SolverMove;
use Nomada\Core\Timetable\Solver\TimetabledSeries;

/**
 * Takes an answer of the solver: each move is an ordinary edit of a series from a day on, all of them one step with one
 * undo.
 */
final readonly class TakeSolution
{
    public function __construct(private SaveSeries $save, private SeriesHistory $history)
    {
    }

    /** @throws Fault where it was taken already, or a series has changed since it was worked out */
    public function __invoke(SolverRun $run, Solution $solution, Person $by): void
    {
        DB::transaction(function () use ($run, $solution, $by): void {
            Locks::timetable($run->term_id);
            $run = SolverRun::query()->lock('for update')->findOrFail($run->id);
            if ($run->state === SolverState::Taken) {
                throw new Fault('solver.taken', 'answer');
            }
            $this->make($run->term, $solution, $by);
            $run->update(['state' => SolverState::Taken, 'ended_at' => $run->ended_at ?? now()]);
        });
    }

    /**
     * Makes the moves of an answer.
     *
     * @throws Fault
     */
    public function make(Term $term, Solution $solution, ?Person $by): void
    {
        DB::transaction(function () use ($term, $solution, $by): void {
            Locks::timetable($term->id);
            $all = Series::query()
                ->with(['section.term.school', 'section.term.closures'])
                ->whereRelation('section', 'term_id', $term->id)
                ->findMany($solution->series())
                ->keyBy('id');
            $toPlace = SeriesToPlace::ofTerm($term)
                ->with(['section.term.school', 'section.term.closures'])
                ->get()
                ->keyBy('id');
            $this->history->asOneStep($term->id, function () use ($solution, $all, $toPlace, $by): void {
                foreach ($solution->moves as $move) {
                    $new = TimetabledSeries::withoutTime($move->series);
                    if ($new === null) {
                        $this->move($all[$move->series] ?? null, $move, $by);
                    } else {
                        $this->place($toPlace[$new] ?? null, $move, $by);
                    }
                }
            });
        });
    }

    private function move(?Series $series, SolverMove $move, ?Person $by): void
    {
        if ($series === null || self::when($series) !== $move->was) {
            throw new Fault('solver.changed', 'answer');
        }
        ($this->save)($series->section, $move->plan, $series->title, $series, $by, $move->plan->from);
    }

    /** @throws Fault where it has a time by now, or needs something else than it did */
    private function place(?SeriesToPlace $one, SolverMove $move, ?Person $by): void
    {
        $isAsAsked =
            $one !== null &&
            $one->minutes === $move->plan->minutes &&
            $one->per_week === count(PlacesOfSeries::weekdaysOf($move->plan));
        if (! $isAsAsked) {
            throw new Fault('solver.changed', 'answer');
        }
        ($this->save)($one->section, $move->plan, $one->title, null, $by, null, $one);
    }

    /** @return array{days: list<string>, start: string} the time of its plan, as the solver tells it */
    private static function when(Series $series): array
    {
        $plan = $series->stretches()->last();

        return [
            'days' => array_map(
                fn (int $d): string => strtolower(LocalDate::dayName($d)),
                PlacesOfSeries::weekdaysOf($plan),
            ),
            'start' => TypedTime::format($plan->startMinute),
        ];
    }
}
