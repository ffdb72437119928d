<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Section;

use Nomada\App\Models\Timetable\SeriesToPlace;
use Nomada\App\View\Requests\RequestLine;
use Nomada\App\View\Timetable\Contact\ContactBar;

/** The series of a section, what was changed in them, and the contact time that they make. */
final readonly class SectionSeries
{
    /**
     * @param  list<SeriesCard>  $series
     * @param  list<ChangeLine>  $changes  the last first
     * @param  list<RequestLine>  $requests  those that wait, then the last that were decided
     * @param  list<SeriesToPlace>  $toPlace  series that have no time yet
     * @param  bool  $isAdding  whether one more is being described
     * @param  string  $target  of contact time, as typed: hours, or hours and minutes
     */
    public function __construct(
        public array $series,
        public array $changes,
        public ContactBar $contact,
        public string $target,
        public array $requests,
        public array $toPlace,
        public bool $isAdding,
    ) {
    }
}
