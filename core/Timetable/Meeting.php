<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/**
 * A series as the search for clashes sees it: whose section, and when it meets. Sessions are the planned ones, ascending;
 * `earliest` and `latest` bound the wall clock (minutes from midnight) of all of them, so that most pairs are told apart at a glance.
 */
final readonly class Meeting
{
    /** @param  list<array{int, int, int}>  $sessions  day number, UTC start, UTC end */
    public function __construct(public int $series, public int $section, public array $sessions, public int $earliest, public int $latest)
    {
    }
}
