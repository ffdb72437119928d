<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Events;

use Nomada\App\Models\Term\Person;
use Nomada\Core\Interchange\ImportFault;

/** What an uploaded calendar holds, before any of it is taken. */
final readonly class EventsPage
{
    /**
     * @param  string  $key  under which the file is kept; $name what it is called
     * @param  list<EventRow>  $rows
     * @param  int  $more  events that are not shown
     * @param  list<ImportFault>  $faults
     * @param  Person|null  $teacher  whose calendar it is; null for the school's
     * @param  array<string, string>  $sections  names by sourcedId
     */
    public function __construct(
        public string $key,
        public string $name,
        public array $rows,
        public int $more,
        public array $faults,
        public ?Person $teacher,
        public array $sections,
    ) {
    }

    public function count(): int
    {
        return count($this->rows) + $this->more;
    }

    /** How many name exactly one section by its code. */
    public function matched(): int
    {
        return count(array_filter($this->rows, fn (EventRow $r): bool => count($r->candidates) === 1));
    }
}
