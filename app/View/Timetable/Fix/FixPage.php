<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Fix;

use Nomada\App\Models\Timetable\SolverState;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\Solver\Question;
use Nomada\Core\Timetable\Solver\SolverRules;

/** Fixing clashes: what may move, and what the solver found. */
final readonly class FixPage
{
    /**
     * @param  int|null  $run  id; null where nothing was asked yet
     * @param  int  $clashes  that the timetable has now
     * @param  list<FixAnswer>  $answers
     * @param  array<int, string>  $pinned  names of the series that stay, by id
     * @param  array<string, string>  $scopes  what may be chosen to move, by value of the field
     * @param  string  $scope  the chosen one
     * @param  FixDrawing|null  $drawing  null where nothing moves
     */
    public function __construct(
        public ?int $run,
        public ?SolverState $state,
        public int $clashes,
        public float $seconds,
        public Question $question,
        public array $answers,
        public ?FixAnswer $answer,
        public array $pinned,
        public array $scopes,
        public string $scope,
        public ?FixDrawing $drawing,
    ) {
    }

    public function opens(): string
    {
        return TypedTime::format($this->question->rules->hours[0]);
    }

    public function closes(): string
    {
        return TypedTime::format($this->question->rules->hours[1]);
    }

    /** @return list<int> minutes */
    public function grids(): array
    {
        return SolverRules::GRIDS;
    }

    public function isLooking(): bool
    {
        return $this->state !== null && ! $this->state->isOver();
    }
}
