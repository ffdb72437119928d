<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/** What a teacher can do to a section's timetable. */
enum TeacherAct: string
{
    /** Title and note of one session. */
    case Describe = 'describe';

    /** The list of topics of a series. */
    case Topics = 'topics';

    /** A session beside the pattern, or one that makes up another. */
    case Add = 'add';

    /** One session is moved, cancelled, held after all, taken out, or given to a substitute. */
    case Move = 'move';

    /** Later sessions, or all of a series, are moved. */
    case Series = 'series';

    /** Whether a new time can stand in the way of somebody. */
    public function setsTime(): bool
    {
        return in_array($this, [self::Add, self::Move, self::Series], true);
    }
}
