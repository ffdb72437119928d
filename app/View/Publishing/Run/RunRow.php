<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Run;

use Nomada\App\Models\Publishing\StepState;

/** One run in the list of the past ones. */
final readonly class RunRow
{
    /** @param  string|null  $by  null where the console began it */
    public function __construct(
        public string $id,
        public string $at,
        public bool $isOfLinks,
        public ?string $by,
        public int $steps,
        public int $failed,
        public int $waiting,
    ) {
    }

    public function state(): StepState
    {
        return $this->waiting > 0 ? StepState::Waiting : ($this->failed > 0 ? StepState::Failed : StepState::Done);
    }
}
