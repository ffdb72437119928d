<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

/** A guest's pass that a second browser asks for: both of them, and when. */
final readonly class PassClaim
{
    public function __construct(
        public int $id,
        public string $guest,
        public string $first,
        public string $since,
        public string $second,
        public string $asked,
    ) {
    }
}
