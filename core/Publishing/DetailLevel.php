<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

/** How much of a session an item of the course page shows. */
enum DetailLevel: string
{
    /** When it is, and all that it has of its own: topic, teacher, note. */
    case All = 'all';
    /** When it is, and whether it is held. */
    case Short = 'short';
    /** Only how to come in. */
    case Nothing = 'nothing';
}
