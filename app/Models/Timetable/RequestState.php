<?php

declare(strict_types=1);

namespace Nomada\App\Models\Timetable;

/** What became of a teacher's request. */
enum RequestState: string
{
    case Open = 'open';
    case Accepted = 'accepted';
    case Declined = 'declined';
    case Withdrawn = 'withdrawn';
}
