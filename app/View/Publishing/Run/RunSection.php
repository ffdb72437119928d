<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Run;

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

    /** @return 'asked'|'failed'|'waiting'|'done' */
    public function state(): string
    {
        return match (true) {
            $this->asked > 0 => 'asked',
            $this->failed > 0 => 'failed',
            $this->done < $this->all => 'waiting',
            default => 'done',
        };
    }

    public function tone(): string
    {
        return $this->failed > 0 ? 'bad' : ($this->done < $this->all ? 'quiet' : 'good');
    }
}
