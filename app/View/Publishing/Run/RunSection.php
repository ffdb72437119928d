<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Run;

use Nomada\App\Models\Publishing\StepState;

/** What a run did with one section. */
final readonly class RunSection
{
    public function __construct(
        public string $sourcedId,
        public string $name,
        public int $all,
        public int $done,
        public int $failed,
        public int $asked,
    ) {
    }

    public function state(): StepState
    {
        return match (true) {
            $this->asked > 0 => StepState::Asked,
            $this->failed > 0 => StepState::Failed,
            $this->done < $this->all => StepState::Waiting,
            default => StepState::Done,
        };
    }

    public function tone(): string
    {
        return $this->failed > 0 ? 'bad' : ($this->done < $this->all ? 'quiet' : 'good');
    }
}
