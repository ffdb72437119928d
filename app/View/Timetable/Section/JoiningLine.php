<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Section;

/** How one comes into a series; nothing is filled in before it has a link. */
final readonly class JoiningLine
{
    /** @param  string|null  $host  the teacher's own link */
    public function __construct(
        public ?string $address = null,
        public ?string $host = null,
        public string $joinCode = '',
        public string $dialIn = '',
        public string $pin = '',
    ) {
    }
}
