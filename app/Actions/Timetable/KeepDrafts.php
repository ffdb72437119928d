<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Term\KeepTerms;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\SolverState;
use Nomada\App\Models\Timetable\TimetableDraft;
use Nomada\App\Queries\DraftProblems;
use Nomada\App\Queries\SolverRulesOfTerm;
use Nomada\Core\Fault;
use Nomada\Core\Timetable\Solver\Question;

/** Drafts of a term's timetable: making one, throwing it away, and taking it. */
final readonly class KeepDrafts
{
    /** Seconds that the solver may look. */
    private const SECONDS = 20;

    public function __construct(
        private SolverRulesOfTerm $rules,
        private DraftProblems $problems,
        private KeepTerms $terms,
    ) {
    }

    /**
     * @param  list<int>  $pins  series of the other term that keep their time
     *
     * @throws Fault where it is the same term
     */
    public function make(Term $from, Term $to, string $title, bool $isAnew, array $pins, Person $by): TimetableDraft
    {
        if ($from->id === $to->id) {
            throw new Fault('drafts.same', 'to');
        }

        return DB::transaction(function () use ($from, $to, $title, $isAnew, $pins, $by): TimetableDraft {
            $draft = TimetableDraft::query()->create([
                'term_id' => $to->id,
                'from_term_id' => $from->id,
                'person_id' => $by->id,
                'title' => $title,
                'is_anew' => $isAnew,
                'question' => (new Question(
                    $to->calendar()->first,
                    $this->rules->of($from),
                    pins: $pins,
                    seconds: self::SECONDS,
                ))->toArray(),
                'state' => SolverState::Waiting,
                'seconds' => 0,
                'asked_at' => now(),
            ]);
            SolveDraft::dispatch($draft->id)->afterCommit();

            return $draft;
        });
    }

    public function drop(TimetableDraft $draft): void
    {
        $draft->delete();
    }

    /**
     * Copies the term as the draft has it.
     *
     * @return array{sections: int, series: int, skipped: list<string>}
     *
     * @throws Fault where it has no answer, was taken, or the term has sections of its own already
     */
    public function take(TimetableDraft $draft, bool $withStudents, Person $by): array
    {
        return DB::transaction(function () use ($draft, $withStudents, $by): array {
            $draft = TimetableDraft::query()
                ->with(['term.school', 'term.closures', 'fromTerm.school', 'fromTerm.closures'])
                ->lock('for update')
                ->findOrFail($draft->id);
            $solution = $draft->answer() ?? throw new Fault('solver.none', 'draft');
            if ($draft->state === SolverState::Taken) {
                throw new Fault('solver.taken', 'draft');
            }
            if ($draft->term->sections()->exists()) {
                throw new Fault('drafts.used', 'draft', ['term' => $draft->term->title]);
            }
            $plans = $this->problems->plans($draft, $solution);
            $sum = $this->terms->copy($draft->fromTerm, $draft->term, $withStudents, $by, $plans);
            $draft->update(['state' => SolverState::Taken, 'ended_at' => now()]);

            return $sum;
        });
    }
}
