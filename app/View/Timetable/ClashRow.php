<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Nomada\App\Support\Words;

/** One folded clash as it is listed. */
final readonly class ClashRow
{
    /**
     * @param  array<string, string>  $sections  names by sourcedId, one or two
     * @param  list<int>  $series
     */
    public function __construct(
        public string $key,
        public string $kind,
        public string $gravity,
        public array $sections,
        public array $series,
        public int $people,
        public int $days,
        public string $dates,
        public ?string $reason,
        public ?string $by,
        public ?string $firstDay = null,
    ) {
    }

    public function words(): string
    {
        return match ($this->kind) {
            'teacher' => Words::count($this->people, 'teacher').' would be in two places',
            'students' => Words::count($this->people, 'student').' would be in two places',
            'turnaround' => Words::count($this->people, 'teacher').' with less than 5 minutes between',
            'account' => 'more on one host account than its plan allows at one time',
            'room' => 'two in one room',
            'long' => 'longer than the hosting plan allows',
            'full' => 'more people than the hosting plan has seats',
            'outside' => 'outside the hours in which school is open',
            default => Words::count($this->people, 'student').' before 07:00 or after 20:30 on their own clock',
        };
    }
}
