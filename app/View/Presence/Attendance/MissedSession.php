<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

/** One session that somebody missed. */
final readonly class MissedSession
{
    public function __construct(
        public int $id,
        public string $section,
        public string $name,
        public string $time,
        public bool $isExcused,
    ) {
    }
}
