<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

/** How what a place serves differs from what the door would say. */
enum DiscrepancyKind: string
{
    /** The session is not there. */
    case Missing = 'missing';
    /** Something is there that the door knows nothing of. */
    case Extra = 'extra';
    /** It is there at another time of the same day, or ends at another. */
    case OtherTime = 'other-time';
    /** It leads to another link. */
    case OtherLink = 'other-link';
    /** Other words than ours. */
    case OtherWords = 'other-words';
}
