<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Timetable\SolverState;
use Nomada\App\Models\Timetable\TimetableDraft;
use Nomada\App\Queries\DraftProblems;
use Nomada\Core\Timetable\Solver\Answers;

/** Works out the times of a draft. A worker that dies leaves a job that begins again. */
final class SolveDraft implements ShouldQueue
{
    use Queueable;

    /** Seconds between two looks at whether the draft is still there. */
    private const LOOK = 0.5;

    public int $tries = 3;

    public int $timeout = 300;

    public function __construct(public readonly int $draft)
    {
    }

    public function handle(DraftProblems $problems): void
    {
        $draft = TimetableDraft::query()
            ->with(['term.school', 'term.closures', 'fromTerm.school', 'fromTerm.closures'])
            ->find($this->draft);
        if ($draft === null || $draft->state->isOver()) {
            return;
        }
        $draft->update(['state' => SolverState::Running]);
        $asked = $draft->asked();
        $begun = $looked = microtime(true);
        $goesOn = function () use ($begun, &$looked): bool {
            if (microtime(true) - $looked < self::LOOK) {
                return true;
            }
            $looked = microtime(true);

            return DB::table('timetable_drafts')
                ->where('id', $this->draft)
                ->update(['seconds' => $looked - $begun]) > 0;
        };
        $answers = new Answers(
            $problems->of($draft),
            fn (): float => microtime(true),
            $asked->seconds,
            $asked->seed,
            $goesOn,
        );
        [$solution] = $answers->all(null, 1);
        TimetableDraft::query()
            ->whereKey($this->draft)
            ->where('state', SolverState::Running)
            ->update([
                'solution' => json_encode($solution->toArray()),
                'seconds' => microtime(true) - $begun,
                'state' => SolverState::Done,
                'ended_at' => now(),
            ]);
    }

    public function failed(): void
    {
        TimetableDraft::query()
            ->whereKey($this->draft)
            ->whereIn('state', [SolverState::Waiting, SolverState::Running])
            ->update(['state' => SolverState::Failed, 'ended_at' => now()]);
    }
}
