<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Run;

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

    /** @return 'waiting'|'failed'|'done' */
    public function state(): string
    {
        return $this->waiting > 0 ? 'waiting' : ($this->failed > 0 ? 'failed' : 'done');
    }
}
