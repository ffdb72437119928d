<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Section;

/** One student of a section. */
final readonly class RosterLine
{
    /**
     * @param  bool  $isRegistered  for every series of it
     * @param  string|null  $from  the first day, where it is not the term's; $until the last one likewise
     */
    public function __construct(
        public string $sourcedId,
        public string $name,
        public bool $isRegistered,
        public ?string $from,
        public ?string $until,
    ) {
    }
}
