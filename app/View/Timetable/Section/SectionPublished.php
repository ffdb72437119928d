<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Section;

use Nomada\App\View\Publishing\MaterialRow;

/** Where a section is published, and what it hands out there. */
final readonly class SectionPublished
{
    /**
     * @param  list<PlaceLine>  $places
     * @param  list<MaterialRow>  $materials
     * @param  array<int, string>  $ahead  days of the sessions to come, by id
     * @param  string  $feed  secret addresses: a calendar, a page to embed, an Atom feed
     */
    public function __construct(
        public array $places,
        public array $materials,
        public array $ahead,
        public string $feed,
        public string $own,
        public string $atom,
    ) {
    }
}
