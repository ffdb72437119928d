<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use RuntimeException;

/**
 * A destination did not do what it was asked. The message is in its own words; `isFinal` says that asking again is of
 * no use,
 * `waitSeconds` how long it asked us to wait.
 */
class DestinationFailure extends RuntimeException
{
    public function __construct(
        string $words,
        public readonly bool $isFinal = false,
        public readonly ?float $waitSeconds = null,
        public readonly int $status = 0,
    ) {
        parent::__construct($words);
    }
}
