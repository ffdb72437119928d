<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Fix;

use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\SolverProblems;
use Nomada\App\Queries\SolverRulesOfTerm;
use Nomada\App\Support\Clock;
use Nomada\App\Support\FaultWords;
use Nomada\App\Support\Say;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\Solver\Candidate;
use Nomada\Core\Timetable\Solver\Deadline;
use Nomada\Core\Timetable\Solver\Problem;
use Nomada\Core\Timetable\Solver\Question;
use Nomada\Core\Timetable\Solver\SolverMove;
use Nomada\Core\Timetable\Solver\SolverRules;
use Nomada\Core\Timetable\Solver\WhyNot;

/** Asks the solver why a series is not at some time. */
final readonly class WhyNotQuery
{
    /** Seconds that it may look for a chain. */
    private const SECONDS = 4.0;

    public function __construct(
        private SolverProblems $problems,
        private SolverRulesOfTerm $rules,
        private Clock $clock,
    ) {
    }

    /**
     * @param  int  $number  of the series, 0 where none is chosen yet
     * @param  list<int>  $weekdays
     * @param  int|null  $start  minutes from midnight
     */
    public function page(Term $term, int $number, array $weekdays, ?int $start): WhyNotPage
    {
        $series = FixSeries::ofTerm($term);
        $one = $series[$number] ?? null;
        $names = array_map(fn (FixSeries $s): string => $s->name, $series);
        asort($names);
        $days = [];
        foreach ($term->calendar()->weekdays() as $weekday) {
            $days[$weekday] = Say::this(Said::weekdayName($weekday));
        }
        $answer = null;
        $place = null;
        $fault = '';
        $rules = $this->rules->of($term);
        try {
            if ($one !== null && $start !== null) {
                $n = $one->perWeek();
                if ($n !== null && count($weekdays) !== $n) {
                    throw new Fault('to_place.days', 'weekdays', ['n' => $n]);
                }
                [$problem, $place] = $this->problem($term, $rules, $number, $weekdays, $start);
                $deadline = new Deadline(fn (): float => microtime(true), self::SECONDS);
                $answer = WhyNot::at($problem, $number, $place, $deadline);
            }
        } catch (Fault $e) {
            $fault = FaultWords::of($e);
        }
        $words = new FixWords($series, new Question($this->clock->schoolDay(), $rules));

        return new WhyNotPage(
            $names,
            $one === null ? 0 : $number,
            $one?->toPlace,
            $days,
            $weekdays,
            $start === null ? '' : TypedTime::format($start),
            $place?->plan === null ? '' : FixSeries::whenOf($place->plan),
            array_map(fn (array $r): string => $words->reason('obstacle', $r), $answer->obstacles ?? []),
            $answer?->chain === null
                ? null
                : array_map(fn (SolverMove $m): FixMove => $words->move($m), $answer->chain),
            $answer->isComplete ?? true,
            $fault,
        );
    }

    /**
     * The problem in which the series may be there, and the place.
     *
     * @param  list<int>  $weekdays
     * @return array{Problem, Candidate}
     *
     * @throws Fault where it could not be there whatever the others do
     */
    private function problem(Term $term, SolverRules $rules, int $number, array $weekdays, int $start): array
    {
        // Every five minutes, and as early and late as is pointed at; what makes room keeps to the rules.
        $wide = SolverRules::from(
            [
                'grid' => 5,
                'hours' => [min($rules->hours[0], $start), 1440],
            ] + $rules->toArray(),
        );
        $day = Question::nextDay($term->calendar(), $this->clock->schoolDay());
        $asked = new Question($day, $wide, kind: Question::PLACE, mayMove: true);
        $problem = $this->problems->of($term, $asked);
        $place = $problem->placeOf($number, $weekdays, $start);
        if ($place === null) {
            throw new Fault('solver.place', 'weekdays');
        }
        $minutes = fn (Candidate $c): int => $c->plan === null ? 0 : $c->plan->minutes;

        return [
            $problem->limited(
                fn (int $id, Candidate $c): bool => $id === $number ||
                    ($c->start % $rules->grid === 0 &&
                        $c->start >= $rules->hours[0] &&
                        $c->start + $minutes($c) <= $rules->hours[1]),
            ),
            $place,
        ];
    }
}
