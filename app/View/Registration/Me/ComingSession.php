<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration\Me;

use Nomada\Core\Timetable\SessionState;

/** One coming session, on the clock of the person who reads it. */
final readonly class ComingSession
{
    /**
     * @param  string|null  $school  when it is on the school's clock and where that is, where that differs
     * @param  string|null  $reason  why it is cancelled
     * @param  int  $starts  UTC seconds
     * @param  string  $doors  from when the door is open, a clock time
     * @param  bool  $isHidden  its link is not shown yet
     * @param  bool  $isShut  its link is hidden by hand, until somebody shows it again
     */
    public function __construct(
        public string $day,
        public string $time,
        public string $end,
        public ?string $school,
        public string $name,
        public string $teacher,
        public ?string $topic,
        public int $series,
        public SessionState $state,
        public ?string $reason,
        public int $starts,
        public string $doors,
        public bool $isToday,
        public bool $isOpen,
        public bool $isHidden,
        public bool $isShut = false,
    ) {
    }

    public function isCancelled(): bool
    {
        return $this->state === SessionState::Cancelled;
    }
}
