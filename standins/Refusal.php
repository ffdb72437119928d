<?php

declare(strict_types=1);

namespace Nomada\Standins;

use RuntimeException;

final class Refusal extends RuntimeException
{
    public function __construct(
        public readonly int $status,
        string $words,
        public readonly int $retryAfter = 0,
        public readonly int $perSecond = 0,
    ) {
        parent::__construct($words);
    }
}
