<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/** A person's part in a section, from and until a day (day numbers, both inclusive; null for the whole term). */
final readonly class Attendee
{
    public function __construct(
        public int $person,
        public bool $isTeacher,
        public ?int $from = null,
        public ?int $until = null,
        public string $zone = '',
    ) {
    }

    public function isThere(int $day): bool
    {
        return ($this->from === null || $day >= $this->from) && ($this->until === null || $day <= $this->until);
    }
}
