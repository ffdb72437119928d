<?php

declare(strict_types=1);

namespace Nomada\App\Queries\Presence;

/** One student's participation score. */
final readonly class Score
{
    /**
     * @param  array<string, float>  $parts  points by measure, and 'sum'
     * @param  float|null  $changed  what a teacher says instead, and why
     */
    public function __construct(
        public array $parts,
        public ?float $changed = null,
        public string $why = '',
        public string $by = '',
    ) {
    }

    public function points(): float
    {
        return $this->changed ?? $this->parts['sum'];
    }
}
