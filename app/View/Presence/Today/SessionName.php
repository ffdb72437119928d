<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Today;

/** What a session of the day is called, and who teaches it. */
final readonly class SessionName
{
    /**
     * @param  string  $section  its sourcedId
     * @param  int  $others  sections that share it
     */
    public function __construct(
        public string $name,
        public string $section,
        public int $others,
        public string $teacher,
    ) {
    }
}
