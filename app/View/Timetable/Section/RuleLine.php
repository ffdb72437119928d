<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Section;

/** Everybody of a year or a course observes: so many people. */
final readonly class RuleLine
{
    public function __construct(public int $id, public string $words, public int $people)
    {
    }
}
