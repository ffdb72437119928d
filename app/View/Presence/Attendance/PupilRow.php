<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

use Nomada\App\Queries\Presence\Pupil;
use Nomada\App\Queries\Presence\Score;
use Nomada\Core\Presence\AbsenceStreak;
use Nomada\Core\Presence\Attendance;
use Nomada\Core\Presence\Status;

/** One student in a section's table. */
final readonly class PupilRow
{
    /**
     * @param  list<Attendance|null>  $cells  a session each; null where the student was not on the roster, or nothing
     *   is known
     * @param  array<string, int>  $counts  by status, of what is over
     * @param  int  $running  absences one after the other, up to now
     */
    public function __construct(
        public Pupil $pupil,
        public array $cells,
        public array $counts,
        public int $minutes,
        public int $running,
        public Score $score,
    ) {
    }

    public function came(): int
    {
        return $this->counts[Status::Present->value] +
            $this->counts[Status::Late->value] +
            $this->counts[Status::Partial->value];
    }

    /** Sessions that count: an excused one does not. */
    public function held(): int
    {
        return $this->came() + $this->counts[Status::Absent->value];
    }

    public function isIssue(): bool
    {
        return $this->running >= AbsenceStreak::ISSUE;
    }
}
