<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

use Nomada\App\Models\Presence\Recording;

/** What belongs to a session beside who was there. */
final readonly class SessionBeside
{
    public function __construct(
        public ?Recording $recording,
        public ?int $before,
        public ?int $after,
        public string $note,
    ) {
    }
}
