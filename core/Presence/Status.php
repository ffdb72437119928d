<?php

declare(strict_types=1);

namespace Nomada\Core\Presence;

/** What attendance comes to for one student and one session. Their words are in lang/en/presence.php. */
enum Status: string
{
    case Present = 'present';
    case Late = 'late';
    case Partial = 'partial';
    case Absent = 'absent';
    case Excused = 'excused';

    /** Whether they count as having been there. */
    public function came(): bool
    {
        return in_array($this, [self::Present, self::Late, self::Partial], true);
    }
}
