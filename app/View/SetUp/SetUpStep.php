<?php

declare(strict_types=1);

namespace Nomada\App\View\SetUp;

/** One step of setting up a school, with how far it has come. */
final readonly class SetUpStep
{
    /**
     * @param  string  $key  of its words
     * @param  int  $done  of $all things; nothing is done where there is nothing yet
     * @param  bool  $isSimulated  a demo service does it, and nobody outside sees anything of it
     */
    public function __construct(
        public string $key,
        public int $done,
        public int $all,
        public string $url,
        public bool $isSimulated = false,
    ) {
    }

    public function isDone(): bool
    {
        return $this->all > 0 && $this->done >= $this->all && ! $this->isSimulated;
    }

    /** @return 'none'|'some'|'simulated'|'done' */
    public function state(): string
    {
        return match (true) {
            $this->isSimulated => 'simulated',
            $this->isDone() => 'done',
            $this->done === 0 => 'none',
            default => 'some',
        };
    }
}
