<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

/** How many came to a session. */
final readonly class SessionSums
{
    /**
     * @param  array<string, int>  $sums  by status
     */
    public function __construct(
        public array $sums,
        public int $guests,
    ) {
    }
}
