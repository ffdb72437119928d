<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Contact;

use Nomada\App\Support\Words;
use Nomada\Core\Timetable\ContactTime;

/** The contact time of one section. */
final readonly class ContactRow
{
    /** Of its bar in a table, in px. */
    private const WIDTH = 300;

    /** @param  string  $id  the section's sourcedId */
    public function __construct(
        public string $id,
        public string $name,
        public string $year,
        public string $teacher,
        public int $sessions,
        public ContactTime $time,
    ) {
    }

    public function bar(): ContactBar
    {
        return ContactBar::of($this->time, self::WIDTH);
    }

    /** @return array<string, string> what is in the table's columns of figures; a dash for nothing */
    public function figures(): array
    {
        $time = $this->time;
        $short = $time->short();

        return [
            ...array_map(fn (int $minutes): string => $minutes === 0 ? '–' : Words::minutes($minutes), [
                'planned' => $time->planned,
                'held' => $time->held,
                'coming' => $time->coming,
                'lost' => $time->lost,
                'made_up' => $time->madeUp,
            ]),
            'target' => $time->target === null ? '–' : Words::minutes($time->target),
            'short' => $short === null || $short <= 0 ? '' : Words::minutes($short),
        ];
    }

    public function isShort(): bool
    {
        return ($this->time->short() ?? 0) > 0;
    }
}
