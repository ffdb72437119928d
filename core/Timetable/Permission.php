<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/** Whether somebody may do something themselves. */
enum Permission: string
{
    case Yes = 'yes';

    /** It becomes a request to a coordinator. */
    case Ask = 'ask';

    case No = 'no';
}
