<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Section;

/** Somebody who teaches a section or observes it. */
final readonly class PartLine
{
    /**
     * @param  string  $role  teacher, co-teacher, observer, substitute; $isLocal where it was given here, not by the
     *   roster
     */
    public function __construct(
        public ?int $id,
        public string $name,
        public string $shortName,
        public string $role,
        public bool $isLocal,
        public bool $isByRule,
    ) {
    }
}
