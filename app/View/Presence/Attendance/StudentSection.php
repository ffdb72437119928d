<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

/** One section on a student's page. */
final readonly class StudentSection
{
    /** @param  array<string, int>  $counts  by status */
    public function __construct(
        public string $id,
        public string $name,
        public array $counts,
        public int $minutes,
        public int $running,
    ) {
    }
}
