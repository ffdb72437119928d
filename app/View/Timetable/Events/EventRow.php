<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Events;

use Nomada\Core\Interchange\Calendar\ReadEvent;

/** One event of a calendar, and as what it would be taken. */
final readonly class EventRow
{
    public const NEW = 'new';

    public const SAME = 'same';

    public const CHANGES = 'changes';

    /**
     * @param  array<string, string>  $candidates  names of the sections that it names, by sourcedId
     * @param  string  $choice  a section's sourcedId, busy or leave
     * @param  'new'|'same'|'changes'  $state  beside what it made before
     * @param  int  $held  sessions that it would make; $lost of them on closed days
     * @param  string  $place  whose clock it follows, where that is not the teacher's
     */
    public function __construct(
        public ReadEvent $event,
        public array $candidates,
        public string $choice,
        public string $state,
        public int $held,
        public int $lost,
        public string $place,
    ) {
    }
}
