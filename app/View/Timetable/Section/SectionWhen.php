<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Section;

use Nomada\App\View\Timetable\TermLine;

/** When a section meets: in words, and its days on the term line. */
final readonly class SectionWhen
{
    /**
     * @param  string  $meets  when it meets, or empty
     * @param  string  $place  whose clock that is, where all its series go by the school's
     * @param  array<string, list<int>>  $days  day numbers by the state of their sessions
     */
    public function __construct(
        public string $meets,
        public string $place,
        public TermLine $line,
        public array $days,
        public int $today,
        public int $minute,
    ) {
    }
}
