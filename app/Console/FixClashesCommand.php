<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Nomada\App\Actions\Timetable\TakeSolution;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Queries\CurrentTerm;
use Nomada\App\Queries\SolverProblems;
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

/** Exit code 0 where no clash that must be fixed is left, 1 where some are, 2 where the question cannot be read. */
final class FixClashesCommand extends Sections
{
    protected $signature =
        'nomada:fix-clashes {--from= : the first day that may change, YYYY-MM-DD; the next school '.
        'day by default} {--section=* : sourcedId of sections whose series may move; all where none is given} '.
        '{--pin=* : id of a series that stays} {--students=must : must or should} {--grid=15 : minutes between the '.
        'starts that are tried} {--hours= : within which sessions may be, as 08:00-17:00; the opening hours by '.
        'default} {--seconds=10} {--seed=1} {--take : make the moves} {--json}';

    protected $description = 'Move as few series as possible so that nobody has to be in two places';

    public function handle(SolverProblems $problems, CurrentTerm $current, TakeSolution $take, Clock $clock): int
    {
        $sections = $this->sections();
        $term = $current->find();
        if ($sections === null || $term === null) {
            return 2;
        }
        try {
            $scope = $this->option('section') === [] ? [] : array_values($sections->modelKeys());
            $question = $this->asked($term->calendar(), $clock, array_map(intval(...), $scope));
            [$solution] = (new Answers(
                $problems->of($term, $question),
                fn (): float => microtime(true),
                $question->seconds,
                $question->seed,
            ))->all(null, 1);
            if ($this->option('take')) {
                $take->make($term, $solution, null);
            }
        } catch (Fault $e) {
            $this->components->error(FaultWords::of($e));

            return 2;
        }
        $this->tell($term, $solution);

        return $solution->after->must === 0 ? self::SUCCESS : self::FAILURE;
    }

    /**
     * @param  list<int>  $sections
     *
     * @throws Fault
     */
    private function asked(Calendar $term, Clock $clock, array $sections): Question
    {
        $today = $clock->schoolDay();
        $given = $this->option('from');
        $from =
            $given === null
                ? Question::nextDay($term, $today)
                : Question::day(LocalDate::parse((string) $given), $term, $today);
        $hours = $term->hours;
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
            new SolverRules([$hours[0], $hours[1]], $students === 'must', (int) $this->option('grid')),
            $sections,
            array_values(array_map(intval(...), (array) $this->option('pin'))),
            max(1, (int) $this->option('seconds')),
            (int) $this->option('seed'),
        );
    }

    private function tell(Term $term, Solution $solution): void
    {
        $series = Series::query()
            ->with('section')
            ->whereRelation('section', 'term_id', $term->id)
            ->get()
            ->keyBy('id');
        $moves = array_map(
            fn (SolverMove $m): array => [
                'section' => (string) $series[$m->series]?->section->sourced_id,
                'series' => (string) $series[$m->series]?->title,
                'was' => $m->was,
                'becomes' => $m->becomes,
            ],
            $solution->moves,
        );
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
            ]);

            return;
        }
        $when = fn (array $of): string => implode(' ', $of['days']).' '.$of['start'];
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
