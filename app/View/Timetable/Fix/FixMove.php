<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Fix;

/** One series that would move. */
final readonly class FixMove
{
    /**
     * @param  string  $section  code of its section
     * @param  list<string>  $reasons  why it is among the moves
     * @param  string  $result  how many sessions from when, and what they cost whom
     */
    public function __construct(
        public int $series,
        public string $name,
        public string $section,
        public string $was,
        public string $becomes,
        public array $reasons,
        public string $result,
        public bool $isCostly,
    ) {
    }
}
