<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

use Nomada\App\Queries\Presence\Pupil;
use Nomada\Core\Presence\AbsenceStreak;

/** What one student missed on a day. */
final readonly class MissedRow
{
    /**
     * @param  list<MissedSession>  $missed  in the order of time
     * @param  int  $running  absences one after the other in one of these sections, up to now
     */
    public function __construct(
        public Pupil $pupil,
        public array $missed,
        public int $running,
        public int $guardians,
        public bool $isWritten,
    ) {
    }

    public function isIssue(): bool
    {
        return $this->running >= AbsenceStreak::ISSUE;
    }

    /** Absences that nobody has told. */
    public function isUntold(): bool
    {
        return array_filter($this->missed, fn (MissedSession $m): bool => ! $m->isExcused) !== [];
    }
}
