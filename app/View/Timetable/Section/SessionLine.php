<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Section;

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\SessionState;

/** One session in the list of its series. */
final readonly class SessionLine
{
    /**
     * @param  string  $shape  how it is marked: past, published, planned, changed, makeup, wrong
     * @param  string  $start  on the school's clock; $end likewise
     * @param  string|null  $reason  why it is lost or cancelled
     * @param  string|null  $teacher  who teaches this one instead
     * @param  string  $own  moved from, makes up; or empty
     */
    public function __construct(
        public int $id,
        public LocalDate $day,
        public string $start,
        public string $end,
        public SessionState $state,
        public string $shape,
        public ?string $reason,
        public ?string $title,
        public ?string $teacher,
        public string $own,
        public ?string $note,
        public bool $isChosen,
        public bool $mayChange,
    ) {
    }

    public function isHeld(): bool
    {
        return $this->state === SessionState::Planned;
    }
}
