<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Run;

/** How far a run has come at one destination. */
final readonly class RunLane
{
    /** @param  int  $asked  steps that met what somebody else has changed there, and wait for a decision */
    public function __construct(
        public string $title,
        public int $done,
        public int $failed,
        public int $asked,
        public int $waiting,
    ) {
    }

    public function all(): int
    {
        return $this->done + $this->failed + $this->asked + $this->waiting;
    }
}
