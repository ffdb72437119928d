<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining\Live;

/** Somebody on the roster who is not inside: never came, or came and left. */
final readonly class Missing
{
    public function __construct(
        public string $sourcedId,
        public string $name,
        public bool $isExcused,
        public bool $hasGuardian,
        public bool $isTold,
    ) {
    }
}
