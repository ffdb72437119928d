<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\SolverRun;
use Nomada\App\Models\Timetable\SolverState;
use Nomada\App\Support\Locks;
use Nomada\Core\Timetable\Solver\Question;

/**
 * Asks the solver, which answers on the queue. What was asked before and is not answered yet is stopped. The rules are
 * kept with the term.
 */
final class AskSolver
{
    public function __invoke(Term $term, Question $question, Person $by): SolverRun
    {
        return DB::transaction(function () use ($term, $question, $by): SolverRun {
            Locks::timetable($term->id);
            SolverRun::query()
                ->where('term_id', $term->id)
                ->where('kind', $question->kind)
                ->whereIn('state', [SolverState::Waiting, SolverState::Running])
                ->update(['state' => SolverState::Stopped, 'ended_at' => now()]);
            $term->update(['solver_rules' => $question->rules->toArray()]);
            $run = SolverRun::query()->create([
                'term_id' => $term->id,
                'kind' => $question->kind,
                'person_id' => $by->id,
                'question' => $question->toArray(),
                'state' => SolverState::Waiting,
                'seconds' => 0,
                'solutions' => [],
                'asked_at' => now(),
            ]);
            SolveTimetable::dispatch($run->id)->afterCommit();

            return $run;
        });
    }
}
