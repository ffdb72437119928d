<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

use Nomada\Core\Term\Zone;

/** Where what is known of a session comes from. */
final readonly class SessionSource
{
    public function __construct(
        public int $events,
        public string $source,
        public ?string $endedAt,
        public Zone $zone,
    ) {
    }
}
