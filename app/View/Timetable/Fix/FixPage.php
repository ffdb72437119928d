<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Fix;

use Nomada\App\Models\Timetable\SolverState;
use Nomada\App\Support\Say;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\Solver\Question;
use Nomada\Core\Timetable\Solver\SolverRules;

/** Fixing clashes, or placing series without a time: what may move, and what the solver found. */
final readonly class FixPage
{
    /**
     * @param  string  $kind  of {@see Question}
     * @param  int|null  $run  id; null where nothing was asked yet
     * @param  int  $clashes  that the timetable has now
     * @param  array<int, FixSeries>  $toPlace  series without a time
     * @param  list<FixAnswer>  $answers
     * @param  array<int, string>  $pinned  names of the series that stay, by id
     * @param  array<string, string>  $scopes  what may be chosen to move, by value of the field
     * @param  string  $scope  the chosen one
     * @param  FixDrawing|null  $drawing  null where nothing moves
     * @param  array<int, string>  $teachers  by id
     * @param  list<string>  $supposed  what is supposed to be otherwise, in words
     * @param  int  $wishes  of teachers
     */
    public function __construct(
        public string $kind,
        public ?int $run,
        public ?SolverState $state,
        public int $clashes,
        public array $toPlace,
        public float $seconds,
        public Question $question,
        public array $answers,
        public ?FixAnswer $answer,
        public array $pinned,
        public array $scopes,
        public string $scope,
        public ?FixDrawing $drawing,
        public array $teachers,
        public array $supposed,
        public int $wishes,
    ) {
    }

    public function isPlacing(): bool
    {
        return $this->kind === Question::PLACE;
    }

    /** The words of this page: `fix` or `place`. */
    public function words(string $key): string
    {
        return (string) __("fix.$this->kind.$key");
    }

    public function sum(): string
    {
        return trans_choice("fix.$this->kind.sum", $this->isPlacing() ? count($this->toPlace) : $this->clashes);
    }

    /** @param  array{int, int}|null  $hours */
    public function opens(?array $hours): string
    {
        return $hours === null ? '' : TypedTime::format($hours[0]);
    }

    /** @param  array{int, int}|null  $hours */
    public function closes(?array $hours): string
    {
        return $hours === null ? '' : TypedTime::format($hours[1]);
    }

    /** @return array<int, string> minutes, in words */
    public function grids(): array
    {
        $out = [];
        foreach (SolverRules::GRIDS as $grid) {
            $out[$grid] = (string) __('fix.minutes', ['n' => $grid]);
        }

        return $out;
    }

    /** @return array<int, string> */
    public function weekdays(): array
    {
        $out = [];
        foreach (range(1, 7) as $weekday) {
            $out[$weekday] = Say::this(Said::weekdayName($weekday));
        }

        return $out;
    }

    /** Whether an answer may be taken: not while it supposes host accounts that there are not. */
    public function mayTake(): bool
    {
        return $this->answer !== null &&
            $this->answer->moves !== [] &&
            $this->state !== SolverState::Taken &&
            $this->question->whatIf->accounts === null;
    }

    public function isLooking(): bool
    {
        return $this->state !== null && ! $this->state->isOver();
    }
}
