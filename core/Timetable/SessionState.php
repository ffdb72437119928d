<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

enum SessionState: string
{
    case Planned = 'planned';
    case Lost = 'lost';
    case Cancelled = 'cancelled';
}
