<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Move;

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\Reach;

/** What moving a session to a day and time would do, for each reach. */
final readonly class MovingPage
{
    /**
     * @param  array<int, string>  $inTheWay  sections that meet then, by id of their session
     * @param  list<ReachLook>  $reaches
     * @param  list<string>  $doubts  what of the typed times could mean something else
     */
    public function __construct(
        public int $session,
        public array $inTheWay,
        public LocalDate $day,
        public string $times,
        public array $reaches,
        public array $doubts,
    ) {
    }

    /** The nearest reach that can be; null where none can. */
    public function nearest(): ?Reach
    {
        foreach ($this->reaches as $one) {
            if ($one->fault === null) {
                return $one->reach;
            }
        }

        return null;
    }
}
