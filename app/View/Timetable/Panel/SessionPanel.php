<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Panel;

use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\Reach;
use Nomada\Core\Timetable\SessionState;

/** One session with all that can be done to it. */
final readonly class SessionPanel
{
    /**
     * @param  string  $start  on the school's clock; $end likewise
     * @param  string  $own  what is told of it: moved from, makes up; or empty
     * @param  LocalDate|null  $madeUp  the day on which it is made up, where it is not held
     * @param  array<string, string>  $teachers  names by sourcedId
     * @param  string|null  $teacher  the sourcedId of who teaches this one instead
     * @param  list<string>  $elsewhere  its start on the clocks of students who live by another one
     * @param  list<FreeLine>  $makeUps  times at which it could be made up
     * @param  list<FreeLine>  $free  times for the series from here on
     * @param  string  $first  the term's first day, ISO; $last likewise
     */
    public function __construct(
        public Section $section,
        public Series $series,
        public Session $session,
        public LocalDate $day,
        public string $start,
        public string $end,
        public SessionState $state,
        public string $own,
        public bool $isComing,
        public ?LocalDate $madeUp,
        public array $teachers,
        public ?string $teacher,
        public array $elsewhere,
        public array $makeUps,
        public array $free,
        public string $first,
        public string $last,
    ) {
    }

    public function isHeld(): bool
    {
        return $this->state === SessionState::Planned;
    }

    /** What is in its panel: what can be changed, how it can be made up, whether it can be held after all. */
    public function part(): PanelPart
    {
        return match (true) {
            $this->isHeld() => $this->isComing ? PanelPart::Change : PanelPart::Nothing,
            $this->madeUp === null => PanelPart::MakeUp,
            $this->mayHoldAfterAll() => PanelPart::Restore,
            default => PanelPart::Nothing,
        };
    }

    /** @return list<Reach> how far a move can go */
    public function reaches(): array
    {
        return $this->session->is_extra ? [] : Reach::cases();
    }

    public function mayHoldAfterAll(): bool
    {
        return $this->state === SessionState::Cancelled && $this->isComing;
    }

    /** Whether its topic would go on to the next session when it is cancelled. */
    public function handsTopicOn(): bool
    {
        return $this->series->topics_move && ($this->session->topic ?? '') !== '';
    }
}
