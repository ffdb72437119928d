<?php

declare(strict_types=1);

namespace Nomada\Core\Belonging;

/** What somebody is to one session. */
enum SessionRole
{
    /** Opens the door and hosts: a teacher, a co-teacher, or anybody who takes just this session. */
    case Host;
    case Student;
    /** May look, and neither hosts nor counts. */
    case Observer;
    /** The section's teacher while somebody else takes the session: may look in. */
    case Absent;
    /** On the roster, of a session that is for some of its students only. */
    case NotChosen;
    /** Had a part, which is over. */
    case Left;
    /** Has a part that begins later. */
    case Ahead;
    case None;

    /** Whether the session is one of theirs: it is in their calendar, and the door lets them in. */
    public function isTheirs(): bool
    {
        return in_array($this, [self::Host, self::Student, self::Observer], true);
    }

    /** Whether they come in to look, and count for nothing. */
    public function looks(): bool
    {
        return $this === self::Observer || $this === self::Absent;
    }
}
