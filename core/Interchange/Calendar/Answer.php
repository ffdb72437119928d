<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

/** What somebody answers to an invitation (PARTSTAT, RFC 5545, 3.2.12). */
enum Answer: string
{
    case Accepted = 'accepted';
    case Tentative = 'tentative';
    case Declined = 'declined';
}
