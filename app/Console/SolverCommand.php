<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Database\Eloquent\Collection;
use Nomada\App\Actions\Timetable\TakeSolution;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesToPlace;
use Nomada\App\Queries\CurrentTerm;
use Nomada\App\Queries\SolverProblems;
use Nomada\App\Queries\SolverRulesOfTerm;
use Nomada\App\Support\Clock;
use Nomada\App\Support\FaultWords;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term as Calendar;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\Solver\Answers;
use Nomada\Core\Timetable\Solver\Question;
use Nomada\Core\Timetable\Solver\Score;
use Nomada\Core\Timetable\Solver\Solution;
use Nomada\Core\Timetable\Solver\SolverMove;
use Nomada\Core\Timetable\Solver\SolverRules;
use Nomada\Core\Timetable\Solver\TimetabledSeries;

/**
 * What the two questions to the solver share. Exit code 0 where no clash that must be fixed is left (and no series
 * without a time), 1 where some are, 2 where the question cannot be read.
 */
abstract class SolverCommand extends Sections
{
    /** The name of the command, and options of its own. */
    protected const CALLED = '';

    protected $signature =
        'nomada:solver {--from= : the first day that may change, YYYY-MM-DD; the next school '.
        'day by default} {--section=* : sourcedId of sections whose series may move; all where none is given} '.
        '{--pin=* : id of a series that stays} {--students=must : must or should} {--grid=15 : minutes between the '.
        'starts that are tried} {--hours= : within which sessions may be, as 08:00-17:00; the hours of the term’s '.
        'rules by default} {--seconds=10} {--seed=1} {--take : make the changes} {--json}';

    public function __construct()
    {
        $this->signature = str_replace('nomada:solver', static::CALLED, $this->signature);
        parent::__construct();
    }

    /** Of {@see Question}. */
    abstract protected function kind(): string;

    protected function mayMove(): bool
    {
        return false;
    }

    public function handle(
        SolverProblems $problems,
        CurrentTerm $current,
        TakeSolution $take,
        Clock $clock,
        SolverRulesOfTerm $rules,
    ): int {
        $sections = $this->sections();
        $term = $current->find();
        if ($sections === null || $term === null) {
            return 2;
        }
        try {
            $scope = $this->option('section') === [] ? [] : array_values($sections->modelKeys());
            $question = $this->asked($term->calendar(), $clock, $rules->of($term), array_map(intval(...), $scope));
            [$solution] = (new Answers(
                $problems->of($term, $question),
                fn (): float => microtime(true),
                $question->seconds,
                $question->seed,
            ))->all(null, 1);
            $toPlace = SeriesToPlace::ofTerm($term)->get();
            if ($this->option('take')) {
                $take->make($term, $solution, null);
            }
        } catch (Fault $e) {
            $this->components->error(FaultWords::of($e));

            return 2;
        }
        $this->tell($term, $question, $solution, $toPlace);

        return $solution->leftOf($question) === [] ? self::SUCCESS : self::FAILURE;
    }

    /**
     * @param  list<int>  $sections
     *
     * @throws Fault
     */
    private function asked(Calendar $term, Clock $clock, SolverRules $rules, array $sections): Question
    {
        $today = $clock->schoolDay();
        $given = $this->option('from');
        $from =
            $given === null
                ? Question::nextDay($term, $today)
                : Question::day(LocalDate::parse((string) $given), $term, $today);
        $hours = $rules->hours;
        if ($this->option('hours') !== null) {
            $typed = explode('-', (string) $this->option('hours'));
            if (count($typed) !== 2) {
                throw new Fault('solver.hours', 'hours');
            }
            $hours = array_map(fn (string $t): int => TypedTime::read($t, 'hours')->minute, $typed);
        }
        $students = (string) $this->option('students');
        if (! in_array($students, ['must', 'should'], true)) {
            throw new Fault('solver.students', 'students');
        }

        return new Question(
            $from,
            SolverRules::from(
                [
                    'hours' => [$hours[0], $hours[1]],
                    'studentsMust' => $students === 'must',
                    'grid' => (int) $this->option('grid'),
                ] + $rules->toArray(),
            ),
            $sections,
            array_values(array_map(intval(...), (array) $this->option('pin'))),
            max(1, (int) $this->option('seconds')),
            (int) $this->option('seed'),
            $this->kind(),
            $this->mayMove(),
        );
    }

    /** @param  Collection<int, SeriesToPlace>  $toPlace  as they were before */
    private function tell(Term $term, Question $question, Solution $solution, Collection $toPlace): void
    {
        $series = Series::query()
            ->with('section')
            ->whereRelation('section', 'term_id', $term->id)
            ->get()
            ->keyBy('id');
        $toPlace = $toPlace->keyBy(fn (SeriesToPlace $s): int => $s->number());
        $moves = array_map(function (SolverMove $m) use ($series, $toPlace): array {
            $one = $series->get($m->series) ?? $toPlace->get($m->series);

            return [
                'section' => (string) $one?->section->sourced_id,
                'series' => (string) $one?->title,
                'was' => $m->was['days'] === [] && TimetabledSeries::withoutTime($m->series) !== null ? null : $m->was,
                'becomes' => $m->becomes,
            ];
        }, $solution->moves);
        $sums = fn (Score $s): array => [
            'must' => $s->must,
            'moved' => $s->moved,
            'students' => $s->students,
            'hours' => $s->hours,
        ];
        if ($this->option('json')) {
            $this->asJson([
                'moves' => $moves,
                'before' => $sums($solution->before),
                'after' => $sums($solution->after),
                'bound' => $solution->bound,
                'proved' => $solution->isProved,
                'seconds' => round($solution->seconds, 2),
                'left' => array_map(
                    fn (array $l): array => [
                        'kind' => $l['kind'],
                        'series' => array_map(
                            fn (int $id): string => (string) ($series->get($id) ?? $toPlace->get($id))?->title,
                            $l['series'],
                        ),
                    ],
                    $solution->leftOf($question),
                ),
            ]);

            return;
        }
        $when = fn (?array $of): string => $of === null ? '' : implode(' ', $of['days']).' '.$of['start'];
        $this->drawTable(
            ['section', 'series', 'was', 'becomes'],
            array_map(
                fn (array $m): array => [...$m, 'was' => $when($m['was']), 'becomes' => $when($m['becomes'])],
                $moves,
            ),
        );
        $this->line(
            trans_choice('console.fix', $solution->after->must, [
                'moves' => count($moves),
                'bound' => $solution->bound,
                'before' => $solution->before->must,
            ]),
        );
    }
}
